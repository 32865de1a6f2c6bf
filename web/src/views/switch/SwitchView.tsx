import { switchSaid } from '@puntada/core/words';
import { useEffect, useRef, useState } from 'react';
import { Head } from '../../app/Shell.tsx';
import { type Signal, type SwitchStep, switchChannel } from '../../parts/switchDriver.ts';

const pads: readonly { device: Signal['device']; step: SwitchStep; words: string }[] = [
  { device: 'foot switch', step: 'run', words: 'Foot switch: next' },
  { device: 'clicker', step: 'row', words: 'Clicker: finish row' },
  { device: 'clicker', step: 'back', words: 'Clicker: back one' },
];

/** Stand-ins for a clicker and a foot switch: they send the same signals to the work that is open beside them. */
export default function SwitchView() {
  const channel = useRef<BroadcastChannel>(undefined);
  const presses = useRef<Record<Signal['device'], number>>({ clicker: 0, 'foot switch': 0 });
  const [sent, setSent] = useState('');
  useEffect(() => {
    const open = new BroadcastChannel(switchChannel);
    channel.current = open;
    return () => open.close();
  }, []);
  const press = (device: Signal['device'], step: SwitchStep, words: string) => {
    presses.current[device] += 1;
    const signal: Signal = { device, step, press: presses.current[device], sentAt: Date.now() };
    channel.current?.postMessage(signal);
    setSent(`${words}, press ${presses.current[device]}`);
  };
  return (
    <>
      <Head title={switchSaid.practiceClickerAndFoot} under={switchSaid.theyStepThroughRow} />
      <main id="main" className="grid gap-4 p-6 sm:grid-cols-3">
        {pads.map(({ device, step, words }) => (
          <button
            key={words}
            type="button"
            onClick={() => press(device, step, words)}
            className="min-h-40 rounded-md border-2 border-ink bg-field text-[22px] font-semibold hover:bg-sheet active:bg-rule"
          >
            {words}
          </button>
        ))}
        <p aria-live="polite" className="text-[16px] text-soft sm:col-span-3">
          {sent}
        </p>
      </main>
    </>
  );
}
