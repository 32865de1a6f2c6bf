import {
  type BoundPattern,
  type EdgeRule,
  edgesDiffer,
  isRoundMaking,
  type LengthUnit,
  mayBeCentred,
  type Policy,
  type Technique,
} from '@puntada/core/craft';
import { type EndRule, isTube } from '@puntada/core/plan';
import type { Wish } from '@puntada/core/records';
import { matSaid } from '@puntada/core/words';
import { memo } from 'react';
import { Choice } from '../../parts/Choice.tsx';
import { Term } from '../../parts/terms/Term.tsx';
import { Tolerance } from './Tolerance.tsx';

interface Props {
  readonly edges: EdgeRule;
  readonly ending: EndRule;
  readonly policy: Policy;
  readonly tolerance: string | undefined;
  readonly units: LengthUnit;
  readonly bound: BoundPattern;
  readonly technique: Technique;
  readonly onChange: (part: Partial<Wish>) => void;
}

/** How the edges, the last row and the idle strand are to be. */
export const Rules = memo(function Rules({ edges: edge, ending, policy, tolerance, units, ...rest }: Props) {
  const { bound, technique, onChange } = rest;
  const circle = technique.circle === true;
  const round = isRoundMaking(bound.pattern.made);
  const lastWords = round ? 'Last round' : 'Last row';
  const differ = !circle && edgesDiffer(bound);
  const tube = isTube(rest);
  const edges: readonly { value: EdgeRule; words: string }[] = [
    { value: 'mirrored', words: tube ? matSaid.eachSideStartsRepeat : 'Matching' },
    { value: 'whole', words: tube ? 'Any width' : `Whole ${bound.across.word}` },
    ...(mayBeCentred(bound, technique) ? [{ value: 'centred' as const, words: 'Centred' }] : []),
  ];
  const endings: readonly { value: EndRule; words: string }[] = [
    { value: 'as-begun', words: 'Same as first' },
    { value: 'whole', words: 'A whole repeat' },
    { value: 'any', words: round ? 'Any round' : 'Any row' },
  ];
  const policies: readonly { value: Policy; words: string }[] = [
    { value: 'as-needed', words: 'Carry where needed' },
    { value: 'carry-always', words: matSaid.carryAllWay },
    { value: 'cut-always', words: 'Cut' },
    { value: 'bobbins', words: 'Bobbins' },
    { value: 'side-only', words: 'Up the side' },
  ];
  return (
    <div className="flex flex-wrap gap-x-6 gap-y-2 pb-3 max-sm:order-last max-sm:pt-4">
      {differ ? (
        <Rule label={tube ? 'Both sides' : <Term name="matching edges">Side edges</Term>}>
          <Choice
            small
            label={tube ? 'Both sides' : 'Side edges'}
            value={edge}
            options={edges}
            onChange={(next) => onChange({ edges: next, choice: undefined })}
          />
        </Rule>
      ) : null}
      <Rule label={<Term name="same first and last">{lastWords}</Term>}>
        <Choice
          small
          label={lastWords}
          value={ending}
          options={endings}
          onChange={(next) => onChange({ ending: next, choice: undefined })}
        />
      </Rule>
      {technique.policy ? null : (
        <Rule label={<Term name="carry">Idle yarn</Term>}>
          <Choice
            small
            label="Idle yarn"
            value={policy}
            options={policies}
            onChange={(next) => onChange({ policy: next })}
          />
        </Rule>
      )}
      <Tolerance key={tolerance ?? ''} tolerance={tolerance} units={units} onChange={onChange} />
    </div>
  );
});

function Rule({ label, children }: { label: React.ReactNode; children: React.ReactNode }) {
  return (
    <div>
      <p className="mb-0.5 flex min-h-6 items-end text-[14px] text-soft">{label}</p>
      {children}
    </div>
  );
}
