import { numberOrText } from '@puntada/core/craft';
import { appSaid } from '@puntada/core/words';
import { SlidersHorizontal } from 'lucide-react';
import { Popover } from 'radix-ui';
import { memo, useState } from 'react';
import { Link } from 'react-router';
import { useChangePreferences, usePreferences } from '../api/api.ts';
import { Choice } from '../parts/Choice.tsx';
import { TextField } from '../parts/TextField.tsx';

/** Units, terms and hand: every view obeys them at once. */
export const Preferences = memo(function Preferences() {
  const change = useChangePreferences();
  const { units, terms, hand, fractions, manner, currency, rate } = usePreferences();
  // As it is typed; a number that is not finished yet is not kept.
  const [hour, setHour] = useState<string>();
  return (
    <Popover.Root>
      <Popover.Trigger className="inline-flex min-h-11 min-w-11 items-center justify-center gap-2 rounded-md border border-transparent px-2 text-[15px] text-soft hover:border-edge hover:text-ink">
        <SlidersHorizontal aria-hidden className="size-4" />
        <span className="max-sm:sr-only">
          {units} · {terms} · {hand} hand
        </span>
      </Popover.Trigger>
      <Popover.Portal>
        <Popover.Content
          align="end"
          sideOffset={6}
          aria-label={appSaid.howYouReadUnits}
          className="z-20 grid gap-3 rounded-md border border-ink bg-paper p-4 shadow-[0_6px_18px_rgb(43_27_48/0.16)]"
        >
          <Row label="Units">
            <Choice
              label="Units"
              value={units}
              options={[
                { value: 'cm', words: 'cm, m, g' },
                { value: 'in', words: 'in, yd, oz' },
              ]}
              onChange={(next) => change({ units: next })}
            />
          </Row>
          {units === 'in' ? (
            <Row label={appSaid.fractionsInch}>
              <Choice
                label={appSaid.fractionsInch}
                value={fractions}
                options={[
                  { value: 'quarters', words: '9 1/2' },
                  { value: 'decimals', words: '9.50' },
                ]}
                onChange={(next) => change({ fractions: next })}
              />
            </Row>
          ) : null}
          <Row label="Stitch names">
            <Choice
              label="Stitch names"
              value={terms}
              options={[
                { value: 'US', words: 'US (sc, dc)' },
                { value: 'UK', words: 'UK (dc, tr)' },
              ]}
              onChange={(next) => change({ terms: next })}
            />
          </Row>
          <Row label="Hook hand">
            <Choice
              label="Hook hand"
              value={hand}
              options={[
                { value: 'right', words: 'Right hand' },
                { value: 'left', words: 'Left hand' },
              ]}
              onChange={(next) => change({ hand: next })}
            />
          </Row>
          <Row label={appSaid.howRowsWritten}>
            <Choice
              label={appSaid.howRowsWritten}
              value={manner}
              options={[
                { value: 'compact', words: 'Short' },
                { value: 'printed', words: 'Like printed patterns' },
              ]}
              onChange={(next) => change({ manner: next })}
            />
          </Row>
          <div className="grid max-w-[300px] grid-cols-[minmax(0,1fr)_90px] gap-3">
            <TextField
              label={appSaid.hourIsToEarn}
              inputMode="decimal"
              className="count"
              value={hour ?? (rate ? String(rate) : '')}
              onChange={(text) => {
                setHour(text);
                const amount = text.trim() ? numberOrText(text) : 0;
                if (typeof amount === 'number' && amount >= 0) change({ rate: Math.min(10_000, amount) });
              }}
            />
            <TextField
              label="Currency"
              value={currency}
              maxLength={4}
              onChange={(text) => change({ currency: text.trim() })}
            />
          </div>
          <div className="border-t border-rule pt-2">
            <Link to="/copies" className="inline-flex min-h-11 items-center text-[15px] font-semibold">
              {appSaid.backUpOpenFile}
            </Link>
          </div>
        </Popover.Content>
      </Popover.Portal>
    </Popover.Root>
  );
});

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div>
      <p className="label">{label}</p>
      {children}
    </div>
  );
}
