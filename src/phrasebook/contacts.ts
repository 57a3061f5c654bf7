import type { Cursor } from "../document/cursor.ts";
import type { Contact } from "../model/outside.ts";
import { given } from "../source/given.ts";
import type { ContactDefinition } from "./definition/outside.ts";
import { checkWords, readAlive, readOrder } from "./messages.ts";
import type { Scope } from "./scope.ts";

/** How somebody is reached; undefined for nobody, and over nothing. */
export function readContact(
  entry: Cursor<ContactDefinition>,
  { people, connections }: Pick<Scope, "people" | "connections">,
): Contact | undefined {
  const { id: person, keyAt: at } = entry;
  const isKnown = entry.refers("person", people, { on: "key" });
  const isReached = entry.key("over").refers("connection", connections);
  const presence = entry.given("presence");
  const notify = entry.given("notify");
  if (presence) checkWords(presence, ["person"]);
  if (notify) checkWords(notify, ["person", "value", "tag"]);
  if (!isKnown || !isReached) return undefined;
  const told = presence && readAlive(presence, { person }, "home");
  const isWeb = connections.get(entry.value.over)?.protocol === "http";
  if (presence && isWeb && told?.every === undefined) {
    const fix = "write how often it is asked: { from: /mara, every: 1m }";
    presence.report("never-told", "a web service tells nothing by itself", fix);
  }
  return {
    person,
    connection: entry.value.over,
    ...given({
      presence: told,
      notify: notify && readOrder(notify, { person }, "POST"),
    }),
    at,
  };
}
