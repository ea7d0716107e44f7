import { useMemo } from 'react';
import { useParams, useSearchParams } from 'wouter';
import { api, type Units } from '../api/client';
import { zone } from '../common/zone';
import { lessons as words, speak } from '../words';
import { Rehearsed } from './RehearsePage';

/** A ready-made day, rehearsed: it belongs to no job. */
export default function LessonPage() {
  const { lesson = '' } = useParams();
  const [search] = useSearchParams();
  const units: Units = search.get('units') === 'us' ? 'us' : 'metric';
  speak(units);
  const lessons = api.useQuery('get', '/api/lessons', { params: { query: { units, timeZone: zone } } });
  const found = lessons.data?.find((l) => l.lesson === lesson);
  // A new object each time would begin the day anew.
  const document = useMemo(() => found && { ...found.document, name: words[found.lesson].name }, [found]);
  return (
    <Rehearsed
      document={document}
      gone={lessons.isError || lessons.data !== undefined}
      of={[lesson, units]}
      about={found && words[found.lesson].about}
      back="/"
    />
  );
}
