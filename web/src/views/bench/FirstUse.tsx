import { type WishInput, wishSchema } from '@puntada/core/records';
import { benchSaid } from '@puntada/core/words';
import { useNavigate } from 'react-router';
import { problemsOf, useAddWorkMutation, usePreferences } from '../../api/api.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useOwnId } from '../../parts/useOwnId.ts';

/** A small whole project to look round in. */
const example: WishInput = {
  title: benchSaid.exampleCheckedDishcloth,
  item: 'dishcloth',
  width: { by: 'length', length: '24 cm' },
  height: { by: 'length', length: '24 cm' },
  pattern: { key: 'block-check', stitch: 'sc', numbers: { b: 4, r: 4 } },
  gauge: {
    from: 'counted',
    stitches: { count: 16, over: '10 cm' },
    rows: { count: 18, over: '10 cm' },
  },
  hook: 5,
  yarns: [
    { letter: 'A', name: 'Oat', shade: '#e9dfc4', weight: 4, fibre: 'cotton', ballMetres: 85, ballGrams: 50, balls: 1 },
    {
      letter: 'B',
      name: 'Ferry blue',
      shade: '#24476b',
      weight: 4,
      fibre: 'cotton',
      ballMetres: 85,
      ballGrams: 50,
      balls: 1,
    },
  ],
};

/** A bench with nothing on it: what this is, and the three ways in. */
export function FirstUse() {
  const navigate = useNavigate();
  const { units } = usePreferences();
  const [add, adding] = useAddWorkMutation();
  const [ownId] = useOwnId();
  const look = async () => {
    const saved = await add({ id: ownId, wish: wishSchema.parse({ ...example, units }) });
    if (saved.data) navigate(`/works/${saved.data.id}/size`);
  };
  return (
    <section aria-label="To begin" className="grid max-w-[68ch] gap-6 py-8">
      <p className="text-[21px] leading-snug">{benchSaid.sayWhatYouWant}</p>
      <ul className="grid gap-4">
        <Way
          act={
            <ButtonLink to="/wish" kind="next" className="w-full">
              New project
            </ButtonLink>
          }
        >
          {benchSaid.twoQuestionsWhatIt}
        </Way>
        <Way
          act={
            <Button onClick={look} disabled={adding.isLoading} className="w-full">
              {benchSaid.lookAtExample}
            </Button>
          }
        >
          {benchSaid.smallDishclothToLook}
        </Way>
        <Way
          act={
            <ButtonLink to="/drawer" className="w-full">
              {benchSaid.addYarnFromLabel}
            </ButtonLink>
          }
        >
          {benchSaid.withItsMetresAnd}
        </Way>
      </ul>
      <Problems problems={problemsOf(adding.error)} />
    </section>
  );
}

function Way({ act, children }: { act: React.ReactNode; children: React.ReactNode }) {
  return (
    <li className="grid items-center gap-x-6 gap-y-2 sm:grid-cols-[230px_minmax(0,1fr)]">
      {act}
      <span className="text-[17px] text-soft">{children}</span>
    </li>
  );
}
