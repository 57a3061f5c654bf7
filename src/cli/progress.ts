/** Milliseconds after which a run tells how far it is, and between two such lines. */
const [patience, pause] = [1000, 100];

/** Tells on a terminal how far a long run is; nothing elsewhere. */
export function createProgress(
  stream: NodeJS.WriteStream,
  what = "cases",
): {
  tell: (done: number, all: number, failed?: number) => void;
  end: () => void;
} {
  const begun = performance.now();
  let last = 0;
  let isTold = false;
  return {
    tell(done, all, failed = 0) {
      if (!stream.isTTY) return;
      const now = performance.now();
      if (now - begun < patience || now - last < pause) return;
      last = now;
      isTold = true;
      const count = `${done.toLocaleString("en")} of ${all.toLocaleString("en")} ${what}`;
      stream.write(`\r${count}${failed > 0 ? `, ${failed} failed` : ""} `);
    },
    end() {
      if (isTold) stream.write("\r\u001b[2K");
    },
  };
}
