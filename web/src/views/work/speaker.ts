/** Says what is to be worked; silent where the browser has no voice. */
export interface Speaker {
  /** Says it at once; what was being said before is cut off. The same again, while it is still being said, is one. */
  say(words: string): void;
  stop(): void;
}

/** What this needs of the browser. */
interface Voice {
  readonly speechSynthesis?: Pick<SpeechSynthesis, 'speak' | 'cancel' | 'speaking'> | undefined;
  readonly SpeechSynthesisUtterance?: (new (text: string) => SpeechSynthesisUtterance) | undefined;
}

/** @param browser the window */
export function speakerOf({ speechSynthesis, SpeechSynthesisUtterance }: Voice): Speaker {
  if (!speechSynthesis || !SpeechSynthesisUtterance) return { say: () => undefined, stop: () => undefined };
  let last = '';
  return {
    say(words) {
      try {
        if (speechSynthesis.speaking && words === last) return;
        last = words;
        speechSynthesis.cancel();
        const said = new SpeechSynthesisUtterance(words);
        said.lang = 'en';
        speechSynthesis.speak(said);
      } catch {
        // A voice that breaks must not stop the work.
      }
    },
    stop() {
      speechSynthesis.cancel();
    },
  };
}
