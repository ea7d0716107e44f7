import { Suspense, lazy } from 'react';
import { Route, Routes } from 'react-router';

// Each page is fetched for itself: who opens one does not wait for the others.
const JobPage = lazy(() => import('./JobPage').then((m) => ({ default: m.JobPage })));
const BoardPage = lazy(() => import('../board/BoardPage'));
const RehearsePage = lazy(() => import('../board/RehearsePage'));
const LessonPage = lazy(() => import('../board/LessonPage'));
const SeasonPage = lazy(() => import('../yard/SeasonPage').then((m) => ({ default: m.SeasonPage })));
const YardPage = lazy(() => import('../yard/YardPage').then((m) => ({ default: m.YardPage })));

/** Every page there is. */
export function Pages() {
  return (
    <Suspense>
      <Routes>
        <Route path="/jobs/:id/pour" element={<BoardPage />} />
        <Route path="/jobs/:id/rehearse" element={<RehearsePage />} />
        <Route path="/lessons/:lesson" element={<LessonPage />} />
        <Route path="/jobs/:id/:step?" element={<JobPage />} />
        <Route path="/season" element={<SeasonPage />} />
        <Route path="*" element={<YardPage />} />
      </Routes>
    </Suspense>
  );
}
