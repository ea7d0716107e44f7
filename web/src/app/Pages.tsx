import { Suspense, lazy, useEffect } from 'react';
import { api } from '../api/client';
import { showInchesTo } from '../format/format';
import { Route, Switch } from 'wouter';
import { asHouseholdLikes } from '../frame/scheme';
import { app } from '../words';

// Each page is fetched for itself: who opens one does not wait for the others.
const JobPage = lazy(() => import('./JobPage').then((m) => ({ default: m.JobPage })));
const BoardPage = lazy(() => import('../board/BoardPage'));
const RehearsePage = lazy(() => import('../board/RehearsePage'));
const LessonPage = lazy(() => import('../board/LessonPage'));
const SeasonPage = lazy(() => import('../yard/SeasonPage').then((m) => ({ default: m.SeasonPage })));
const HouseholdPage = lazy(() => import('../yard/HouseholdPage').then((m) => ({ default: m.HouseholdPage })));
const YardPage = lazy(() => import('../yard/YardPage').then((m) => ({ default: m.YardPage })));

/** Every page there is. */
export function Pages() {
  // How the household likes lengths shown, wherever they are.
  const { data: liked } = api.useQuery('get', '/api/preferences', {}, { staleTime: Infinity });
  showInchesTo(liked?.fraction ?? 16);
  const scheme = liked?.scheme;
  useEffect(() => {
    if (scheme !== undefined) asHouseholdLikes(scheme);
  }, [scheme]);
  return (
    <Suspense fallback={<p role="status">{app.loading}</p>}>
      <Switch>
        <Route path="/jobs/:id/pour" component={BoardPage} />
        <Route path="/jobs/:id/rehearse" component={RehearsePage} />
        <Route path="/lessons/:lesson" component={LessonPage} />
        <Route path="/jobs/:id/:step?" component={JobPage} />
        <Route path="/household" component={HouseholdPage} />
        <Route path="/season" component={SeasonPage} />
        <Route component={YardPage} />
      </Switch>
    </Suspense>
  );
}
