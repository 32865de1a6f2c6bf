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
      speaking: false,
      speak: (said: { text: string }) => heard.push(said.text),
      cancel: () => heard.push('cut off'),
    },
    SpeechSynthesisUtterance: Said,
  };
  return { heard, browser, speaker: speakerOf(browser as unknown as Parameters<typeof speakerOf>[0]) };
}

describe('reading runs aloud', () => {
  it('says the new run at once and cuts the old one off', () => {
    const { heard, speaker } = voice();
    speaker.say('4 sc A');
    speaker.say('4 sc B');
    expect(heard).toEqual(['cut off', '4 sc A', 'cut off', '4 sc B']);
  });

  it('what is told twice is said once, unless it was heard out', () => {
    const { heard, browser, speaker } = voice();
    speaker.say('4 sc A');
    browser.speechSynthesis.speaking = true;
    speaker.say('4 sc A');
    expect(heard).toEqual(['cut off', '4 sc A']);
    browser.speechSynthesis.speaking = false;
    speaker.say('4 sc A');
    expect(heard).toHaveLength(4);
  });

  it('a voice that answers late is cut off by what is in hand by then', () => {
    const { heard, browser, speaker } = voice();
    speaker.say('4 sc A');
    browser.speechSynthesis.speaking = true;
    speaker.say('4 sc B');
    expect(heard.slice(2)).toEqual(['cut off', '4 sc B']);
  });

  it('is silent where there is no voice, and where the voice breaks', () => {
    expect(() => speakerOf({}).say('4 sc A')).not.toThrow();
    const broken = speakerOf({
      speechSynthesis: {
        speak: () => {
          throw new Error('no sound card');
        },
        cancel: () => undefined,
        speaking: false,
      },
      SpeechSynthesisUtterance: Object as unknown as new (text: string) => SpeechSynthesisUtterance,
    });
    expect(() => broken.say('4 sc A')).not.toThrow();
  });
});
