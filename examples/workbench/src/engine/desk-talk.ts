import type { Engine } from "./worker.ts";
import type { DeskView, HomeFile, Said } from "./views.ts";

/** What is asked of the thread of the desk. */
type AtDesk = (...asked: Parameters<Engine["atDesk"]>) => ReturnType<Engine["atDesk"]>;

/** The desk after some turns, of which only what is new is asked for: a large home says much each time. */
export function createDeskTalk(
  atDesk: AtDesk,
): (files: readonly HomeFile[], turns: readonly Said[], time: string) => Promise<DeskView> {
  let view: DeskView | undefined;
  return async (files, turns, time) => {
    const known = view?.turns.length ?? 0;
    const news = await atDesk([...files], [...turns], { time, known });
    const before = news.from === 0 ? undefined : view;
    view = {
      states: { ...before?.states, ...news.states },
      turns: [...(before?.turns.slice(0, news.from) ?? []), ...news.turns],
      time: news.time,
    };
    return view;
  };
}
