/** Calm Phrase on real homes. */
export { type Live, type LiveStart, startLive } from "./live.ts";
export { type DoorsOptions, type OpenDoor, openDoors } from "./doors.ts";
export { fromDevice, toDevice } from "./mapping.ts";
export { hashOf, newSecret } from "./secrets.ts";
export { type House, type HouseOptions, startHouse } from "./stand-ins/house.ts";
export { type StandInBroker, startBroker } from "./stand-ins/broker.ts";
export { type OpenPage, openPage } from "./page.ts";
