import { countedIn, workCourse } from '@puntada/core/plan';
import { slips, workSaid } from '@puntada/core/words';
import { LifeBuoy } from 'lucide-react';
import { Dialog, Tabs } from 'radix-ui';
import { useState } from 'react';
import { Button } from '../../../parts/Button.tsx';
import { TabBar } from '../../../parts/TabBar.tsx';
import { CountOff } from './CountOff.tsx';
import { FindRow } from './FindRow.tsx';
import type { HelpProps } from './helpProps.ts';
import { Rip } from './Rip.tsx';

const tabs = [
  ['row', 'Find my row'],
  ['count', workSaid.myCountWrong],
  ['rip', 'Rip back'],
  ['slips', workSaid.commonSlipsAndHow],
] as const;

/** When something is wrong: which row it is, what a count means, how far to go back, and what is done about slips. */
export function HelpAtRow(given: Omit<HelpProps, 'close' | 'counted'>) {
  const { fabric, bound, foundation } = given.cloth;
  const course = Math.min(given.position.rows, fabric.courses - 1);
  const counted = countedIn(workCourse(fabric, bound, foundation, course));
  const props = { ...given, counted };
  const [open, setOpen] = useState(false);
  const close = () => setOpen(false);
  return (
    <Dialog.Root open={open} onOpenChange={setOpen}>
      <Dialog.Trigger className="inline-flex min-h-14 items-center gap-2 rounded-md border border-transparent px-3 text-[16px] font-semibold underline underline-offset-4 hover:bg-sheet">
        <LifeBuoy aria-hidden className="size-5" />
        Something is wrong
      </Dialog.Trigger>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-10 bg-veil/60" />
        <Dialog.Content
          aria-describedby={undefined}
          className="fixed inset-x-3 top-1/2 z-20 mx-auto flex max-h-[88dvh] max-w-[760px] -translate-y-1/2 flex-col rounded-md border border-ink bg-paper p-5"
        >
          <div className="flex items-center justify-between gap-4">
            <Dialog.Title className="text-[24px]">Something is wrong</Dialog.Title>
            <Dialog.Close asChild>
              <Button>{workSaid.backToRow}</Button>
            </Dialog.Close>
          </div>
          <Tabs.Root defaultValue="row" className="mt-3 flex min-h-0 flex-col">
            <TabBar label="What happened" tabs={tabs} />
            <div className="-mx-1.5 min-h-0 overflow-y-auto px-1.5 pt-4 pb-1.5">
              <Tabs.Content value="row">
                <FindRow {...props} close={close} />
              </Tabs.Content>
              <Tabs.Content value="count">
                <CountOff {...props} close={close} />
              </Tabs.Content>
              <Tabs.Content value="rip">
                <Rip {...props} close={close} />
              </Tabs.Content>
              <Tabs.Content value="slips">
                <dl>
                  {slips.map(({ slip, cure }) => (
                    <div key={slip} className="border-b border-rule py-2">
                      <dt className="font-semibold">{slip}</dt>
                      <dd>{cure}</dd>
                    </div>
                  ))}
                </dl>
              </Tabs.Content>
            </div>
          </Tabs.Root>
        </Dialog.Content>
      </Dialog.Portal>
    </Dialog.Root>
  );
}
