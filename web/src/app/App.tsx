import { appSaid } from '@puntada/core/words';
import { type ComponentType, lazy, useEffect, useState } from 'react';
import { BrowserRouter, matchPath, Route, Routes } from 'react-router';
import { PageGone } from './Broken.tsx';
import { Missing } from './Missing.tsx';
import { Shell } from './Shell.tsx';
import { WorkGate } from './WorkGate.tsx';

type Load = () => Promise<{ readonly default: ComponentType }>;

const wish: Load = () => import('../views/wish/WishView.tsx');
const desk: Load = () => import('../views/desk/DeskView.tsx');
const book: Load = () => import('../views/book/BookView.tsx');

/** Every view by its address, taken in when it is first looked at. */
const views: readonly (readonly [path: string, load: Load])[] = [
  ['/', () => import('../views/bench/BenchView.tsx')],
  ['/book', book],
  ['/book/:key', book],
  ['/desk', desk],
  ['/desk/:id', desk],
  ['/drawer', () => import('../views/drawer/DrawerView.tsx')],
  ['/swatches', () => import('../views/swatches/SwatchBook.tsx')],
  ['/swatches/new', () => import('../views/swatches/NewSwatch.tsx')],
  ['/swatches/:id', () => import('../views/swatches/SwatchPage.tsx')],
  ['/shopping', () => import('../views/shopping/ShoppingView.tsx')],
  ['/evenings', () => import('../views/evenings/EveningsView.tsx')],
  ['/switch', () => import('../views/switch/SwitchView.tsx')],
  ['/open', () => import('../views/open/OpenView.tsx')],
  ['/copies', () => import('../views/copies/CopiesView.tsx')],
  ['/rehearse/:key', () => import('../views/work/RehearsalView.tsx')],
  ['/words', () => import('../views/words/WordsView.tsx')],
  ['/given', () => import('../views/given/GivenView.tsx')],
  ['/wish', wish],
  ['/works/:id/wish', wish],
  ['/works/:id/size', () => import('../views/mat/MatView.tsx')],
  ['/works/:id/rows', () => import('../views/rows/RowsView.tsx')],
  ['/works/:id/labels', () => import('../views/labels/LabelsView.tsx')],
  ['/works/:id/set', () => import('../views/set/SetView.tsx')],
  ['/works/:id/price', () => import('../views/price/PriceView.tsx')],
  ['/works/:id/print', () => import('../views/print/PrintView.tsx')],
  ['/works/:id/yarn', () => import('../views/need/NeedView.tsx')],
  ['/works/:id/log', () => import('../views/log/LogView.tsx')],
  ['/works/:id/onward', () => import('../views/onward/OnwardView.tsx')],
  ['/works/:id/strips', () => import('../views/need/StripsView.tsx')],
  ['/works/:id/finish', () => import('../views/finish/FinishView.tsx')],
  ['/works/:id/work', () => import('../views/work/WorkView.tsx')],
];

/** A view that is loaded twice is the same view to the router: a wish goes on being typed when its address changes. */
const drawn = new Map(
  [...new Set(views.map(([, load]) => load))].map((load) => [
    load,
    lazy(() =>
      load().catch((error: unknown) => {
        throw new PageGone(error);
      }),
    ),
  ]),
);

/** What the address asks for first: fetched while the store still asks how the maker reads. */
const first = views.find(([path]) => matchPath(path, location.pathname))?.[1];
let firstView: ComponentType | undefined;
const firstAnswered = first?.().then(
  (view) => {
    firstView = view.default;
  },
  // Whoever draws it asks once more, and tells that it is gone.
  () => undefined,
);

/**
 * Whether the first view is here, or will never be. It is waited for outside of what suspends: what was shown in its place
 * there would be kept for a third of a second, however soon the view came.
 */
function useFirstAnswered(): boolean {
  const [answered, setAnswered] = useState(!firstAnswered);
  useEffect(() => void firstAnswered?.then(() => setAnswered(true)), []);
  return answered;
}

/** A view of its own chunk. */
function Chunk({ load }: { load: Load }) {
  const View = (load === first && firstView) || (drawn.get(load) as ComponentType);
  return <View />;
}

/** Every view at its address; the plain router is enough, since the store asks the server. */
export function App() {
  const ready = useFirstAnswered();
  return (
    <BrowserRouter>
      <Routes>
        <Route element={<Shell ready={ready} />}>
          {views.map(([path, load]) => {
            const view = <Chunk load={load} />;
            const element = path.startsWith('/works/') ? <WorkGate>{view}</WorkGate> : view;
            return <Route key={path} path={path} element={element} />;
          })}
          <Route path="*" element={<Missing what={appSaid.thereNoPageAt} />} />
        </Route>
      </Routes>
    </BrowserRouter>
  );
}
