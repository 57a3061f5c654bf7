/** As much of the browser's speech interface (Web Speech API) as is used here. */
interface Recogniser {
  lang: string;
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onend: (() => void) | null;
  start: () => void;
}

declare global {
  interface Window {
    SpeechRecognition?: new () => Recogniser;
    webkitSpeechRecognition?: new () => Recogniser;
  }
}

const Maker = window.SpeechRecognition ?? window.webkitSpeechRecognition;

/** Whether the browser can listen. */
export const canListen = Maker !== undefined;

/** What is said next; nothing where nothing was heard. */
export function listen(language: string): Promise<string> {
  return new Promise((resolve) => {
    if (!Maker) {
      resolve("");
      return;
    }
    const recogniser = new Maker();
    let heard = "";
    recogniser.lang = language;
    recogniser.onresult = ({ results }) => {
      heard = results[0]?.[0]?.transcript ?? "";
    };
    recogniser.onend = () => {
      resolve(heard);
    };
    recogniser.start();
  });
}

/** Says a text aloud, where the browser can. */
export function speak(text: string, language: string): void {
  if (!("speechSynthesis" in window)) return;
  const utterance = new SpeechSynthesisUtterance(text);
  utterance.lang = language;
  speechSynthesis.speak(utterance);
}
