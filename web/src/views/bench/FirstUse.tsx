import { type WishInput, wishSchema } from '@puntada/core/records';
import { useNavigate } from 'react-router';
import { problemsOf, useAddWorkMutation, usePreferences } from '../../api/api.ts';
import { Button, ButtonLink } from '../../parts/Button.tsx';
import { Problems } from '../../parts/Problems.tsx';
import { useOwnId } from '../../parts/useOwnId.ts';

/** A small whole project to look round in. */
const example: WishInput = {
  title: 'Example: a checked dishcloth',
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
      <p className="text-[21px] leading-snug">
        Say what you want to crochet in two or more colours and how big, and Puntada works out the chains, the rows,
        every colour change and the yarn. Then it keeps your place while you make it.
      </p>
      <ul className="grid gap-4">
        <Way
          act={
            <ButtonLink to="/wish" kind="next" className="w-full">
              New project
            </ButtonLink>
          }
        >
          Two questions: what it is, and how big. The rest has a usual answer that you can change.
        </Way>
        <Way
          act={
            <Button onClick={look} disabled={adding.isLoading} className="w-full">
              Look at an example
            </Button>
          }
        >
          A small dishcloth to look round in. Delete it whenever you like.
        </Way>
        <Way
          act={
            <ButtonLink to="/drawer" className="w-full">
              Add yarn from a label
            </ButtonLink>
          }
        >
          With its metres and grams you also learn how many balls to use.
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
