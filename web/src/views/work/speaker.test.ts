import { speakerOf } from './speaker.ts';

function voice() {
  const heard: string[] = [];
  class Said {
    readonly text: string;
    lang = '';
    constructor(text: string) {
      this.text = text;
    }
  }
  const browser = {
    speechSynthesis: {
      speak: (said: { text: string }) => heard.push(said.text),
      cancel: () => heard.push('cut off'),
    },
    SpeechSynthesisUtterance: Said,
  };
  return { heard, speaker: speakerOf(browser as unknown as Parameters<typeof speakerOf>[0]) };
}

describe('reading runs aloud', () => {
  it('says the new run at once and cuts the old one off', () => {
    const { heard, speaker } = voice();
    speaker.say('4 sc A');
    speaker.say('4 sc B');
    expect(heard).toEqual(['cut off', '4 sc A', 'cut off', '4 sc B']);
  });

  it('is silent where there is no voice, and where the voice breaks', () => {
    expect(() => speakerOf({}).say('4 sc A')).not.toThrow();
    const broken = speakerOf({
      speechSynthesis: {
        speak: () => {
          throw new Error('no sound card');
        },
        cancel: () => undefined,
      },
      SpeechSynthesisUtterance: Object as unknown as new (text: string) => SpeechSynthesisUtterance,
    });
    expect(() => broken.say('4 sc A')).not.toThrow();
  });
});
