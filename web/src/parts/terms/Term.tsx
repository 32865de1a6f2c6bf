import { glossary } from '@puntada/core/words';
import { Popover } from 'radix-ui';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import { usePreferences } from '../../api/api.ts';
import { Craft } from '../Craft.tsx';
import { TermDrawing } from './TermDrawing.tsx';

/** A term of the craft with its meaning one tap away, where it stands. @param name as in the list of words @param inline one of the words of a sentence */
export function Term({ name, children, inline = false }: { name: string; children?: ReactNode; inline?: boolean }) {
  const { terms: own } = usePreferences();
  const found = glossary.find((each) => each.term === name);
  if (!found) return children ?? name;
  const called = own === 'UK' ? (found.uk ?? name) : name;
  return (
    <Popover.Root>
      <Popover.Trigger
        className={`min-h-6 min-w-6 cursor-help text-left underline decoration-edge decoration-dotted decoration-2 underline-offset-4 hover:decoration-ink ${inline ? '' : 'max-sm:min-h-11 max-sm:min-w-11'}`}
      >
        {children ?? called}
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          sideOffset={6}
          collisionPadding={12}
          aria-label={`What ${called} means`}
          className="z-20 max-w-[340px] rounded-md border border-ink bg-paper p-4 shadow-[0_6px_18px_rgb(43_27_48/0.16)]"
        >
          <div className="flex items-start gap-3">
            <TermDrawing term={name} />
            <p className="font-display text-[17px] font-semibold">{called}</p>
          </div>
          <p className="mt-2 text-[16px]">
            <Craft>{found.means}</Craft>
          </p>
          <Link
            to={`/words#${name.replaceAll(' ', '-')}`}
            className="mt-2 inline-flex min-h-11 items-center text-[15px] underline underline-offset-4"
          >
            Whole glossary
          </Link>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
}
