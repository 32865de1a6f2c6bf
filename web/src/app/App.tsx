import { lazy, Suspense } from 'react';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { Shell } from './Shell.tsx';

const BenchView = lazy(() => import('../views/bench/BenchView.tsx'));
const MatView = lazy(() => import('../views/mat/MatView.tsx'));
const RowsView = lazy(() => import('../views/rows/RowsView.tsx'));
const WorkView = lazy(() => import('../views/work/WorkView.tsx'));
const WishView = lazy(() => import('../views/wish/WishView.tsx'));
const BookView = lazy(() => import('../views/book/BookView.tsx'));
const DrawerView = lazy(() => import('../views/drawer/DrawerView.tsx'));
const SwatchBook = lazy(() => import('../views/swatches/SwatchBook.tsx'));
const SwatchPage = lazy(() => import('../views/swatches/SwatchPage.tsx'));
const NewSwatch = lazy(() => import('../views/swatches/NewSwatch.tsx'));
const SwitchView = lazy(() => import('../views/switch/SwitchView.tsx'));
const WordsView = lazy(() => import('../views/words/WordsView.tsx'));
const GivenView = lazy(() => import('../views/given/GivenView.tsx'));
const ShoppingView = lazy(() => import('../views/shopping/ShoppingView.tsx'));
const NeedView = lazy(() => import('../views/need/NeedView.tsx'));
const StripsView = lazy(() => import('../views/need/StripsView.tsx'));
const OnwardView = lazy(() => import('../views/onward/OnwardView.tsx'));
const LogView = lazy(() => import('../views/log/LogView.tsx'));
const EveningsView = lazy(() => import('../views/evenings/EveningsView.tsx'));
const FinishView = lazy(() => import('../views/finish/FinishView.tsx'));

const router = createBrowserRouter([
  {
    element: <Shell />,
    children: [
      { path: '/', element: <BenchView /> },
      { path: '/book', element: <BookView /> },
      { path: '/book/:key', element: <BookView /> },
      { path: '/drawer', element: <DrawerView /> },
      { path: '/swatches', element: <SwatchBook /> },
      { path: '/swatches/new', element: <NewSwatch /> },
      { path: '/swatches/:id', element: <SwatchPage /> },
      { path: '/shopping', element: <ShoppingView /> },
      { path: '/evenings', element: <EveningsView /> },
      { path: '/switch', element: <SwitchView /> },
      { path: '/words', element: <WordsView /> },
      { path: '/given', element: <GivenView /> },
      { path: '/wish', element: <WishView /> },
      { path: '/works/:id/wish', element: <WishView /> },
      { path: '/works/:id/size', element: <MatView /> },
      { path: '/works/:id/rows', element: <RowsView /> },
      { path: '/works/:id/yarn', element: <NeedView /> },
      { path: '/works/:id/log', element: <LogView /> },
      { path: '/works/:id/onward', element: <OnwardView /> },
      { path: '/works/:id/strips', element: <StripsView /> },
      { path: '/works/:id/finish', element: <FinishView /> },
      { path: '/works/:id/work', element: <WorkView /> },
      { path: '*', element: <Navigate to="/" replace /> },
    ],
  },
]);

export function App() {
  return (
    <Suspense fallback={<p className="p-6 text-soft">Opening…</p>}>
      <RouterProvider router={router} />
    </Suspense>
  );
}
