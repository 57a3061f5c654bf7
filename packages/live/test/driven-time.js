/** Time that goes on when it is told to. */
export class DrivenTime {
  #now = 0;
  #timers = [];
  now = () => this.#now;
  after = (seconds, act) => {
    const timer = { at: this.#now + seconds, act };
    this.#timers.push(timer);
    return () => {
      this.#timers = this.#timers.filter((each) => each !== timer);
    };
  };
  beginAt(now) {
    this.#now = now;
    this.#timers = [];
  }
  async pass(seconds, settled) {
    const until = this.#now + seconds;
    for (;;) {
      const due = this.#timers.filter(({ at }) => at <= until);
      if (due.length === 0) break;
      // What is due at one instant happens one after another, and is then waited for together.
      const at = Math.min(...due.map((each) => each.at));
      this.#now = Math.max(this.#now, at);
      for (const next of due.filter((each) => each.at === at)) {
        if (!this.#timers.includes(next)) continue;
        this.#timers = this.#timers.filter((each) => each !== next);
        next.act();
      }
      await settled();
    }
    this.#now = until;
    await settled();
  }
}
