import { useState } from "react";
import { Button } from "react-aria-components";

/** As much of the browser's speech interface (Web Speech API) as is used here. */
interface Recogniser {
  lang: string;
  onresult: ((event: { results: ArrayLike<ArrayLike<{ transcript: string }>> }) => void) | null;
  onend: (() => void) | null;
  start: () => void;
}

function recogniserMaker(): (new () => Recogniser) | undefined {
  const made: unknown =
    Reflect.get(window, "SpeechRecognition") ?? Reflect.get(window, "webkitSpeechRecognition");
  return typeof made === "function" ? (made as new () => Recogniser) : undefined;
}

/** A button to speak in place of writing, where the browser can listen. */
export function Listen({
  language,
  onHeard,
}: {
  language: string;
  onHeard: (text: string) => void;
}) {
  const [isListening, setListening] = useState(false);
  const Maker = recogniserMaker();
  if (!Maker) return null;
  const listen = (): void => {
    const recogniser = new Maker();
    recogniser.lang = language;
    recogniser.onresult = ({ results }) => {
      onHeard(results[0]?.[0]?.transcript ?? "");
    };
    recogniser.onend = () => {
      setListening(false);
    };
    setListening(true);
    recogniser.start();
  };
  return (
    <span title="Your browser listens. Some send what they hear to their maker; nothing else here leaves this machine.">
      <Button className="button" onPress={listen} isDisabled={isListening}>
        {isListening ? "Listening …" : "Speak"}
      </Button>
    </span>
  );
}
