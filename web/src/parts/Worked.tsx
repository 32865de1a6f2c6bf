import type { PrintedWorking } from '@puntada/core/records';
import { partsSaid } from '@puntada/core/words';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';

interface Props {
  /** How the number comes about; without it the number stands alone. */
  readonly working: PrintedWorking | undefined;
  readonly children: ReactNode;
  readonly className?: string;
}

/** A number that opens its working: the parts, where each comes from, and what they come to. */
export function Worked({ working, children, className = '' }: Props) {
  if (!working) return children;
  return (
    <Popover.Root>
      <Popover.Trigger
        title="See how this comes about"
        data-working={working.of}
        className={`min-h-6 min-w-6 underline decoration-edge decoration-dotted decoration-2 underline-offset-4 hover:decoration-ink max-sm:min-h-11 max-sm:min-w-11 ${className}`}
      >
        {children}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={working.heading}
          className="z-20 w-max max-w-[min(440px,calc(100vw-24px))] rounded-md border border-ink bg-paper font-sans text-[16px] font-normal tracking-normal text-ink shadow-[0_6px_18px_rgb(43_27_48/0.16)]"
        >
          {/* A long sum is scrolled by key as well. */}
          <section
            // biome-ignore lint/a11y/noNoninteractiveTabindex: what scrolls takes the focus
            tabIndex={0}
            aria-label={working.heading}
            className="max-h-(--radix-popover-content-available-height) overflow-auto p-4"
          >
            <Sum working={working} />
          </section>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}

const ends: Readonly<Record<PrintedWorking['by'], string>> = { sum: 'together', chance: partsSaid.soChance };

function Sum({ working: { heading, by, parts, total } }: { working: PrintedWorking }) {
  const told = parts.some(({ from }) => from);
  return (
    <table className="border-collapse">
      <caption className="pb-2 text-left font-display text-[17px] font-semibold">{heading}</caption>
      <tbody>
        {parts.map(({ text, amount, from, low, high }) => (
          <tr key={text} className="border-b border-rule align-baseline">
            <td className="py-1 pr-4 text-right whitespace-nowrap">
              <data value={`${low} ${high}`} className="count">
                {amount}
              </data>
            </td>
            <th scope="row" className="py-1 text-left leading-snug font-normal">
              {text}
            </th>
            {told ? <td className="py-1 pl-4 text-right text-[14px] whitespace-nowrap text-soft">{from}</td> : null}
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr className="border-t-2 border-ink align-baseline">
          <td className="pt-1.5 pr-4 text-right whitespace-nowrap">
            <data value={`${total.low} ${total.high}`} className="count text-[18px]">
              {total.amount}
            </data>
          </td>
          <th scope="row" className="pt-1.5 text-left font-normal text-soft">
            {ends[by]}
          </th>
          {told ? <td /> : null}
        </tr>
      </tfoot>
    </table>
  );
}
