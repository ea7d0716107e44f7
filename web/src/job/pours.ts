import type { JobDocument, PartDocument, Pour, PourDocument } from '../api/client';

const DAY_MS = 24 * 60 * 60 * 1000;

type Part = Pour['parts'][number];

/** A name with a number that is not taken yet: element-3, pour-2. */
export function freshId(stem: string, taken: (string | undefined)[]): string {
  let n = taken.length + 1;
  while (taken.includes(`${stem}-${String(n)}`)) n++;
  return `${stem}-${String(n)}`;
}

/** Every element with an id, so that a pour can name it. */
function named(job: JobDocument): JobDocument {
  if (job.elements.every((e) => e.id)) return job;
  const taken = job.elements.map((e) => e.id);
  return {
    ...job,
    elements: job.elements.map((e) => {
      if (e.id) return e;
      const id = freshId('element', taken);
      taken.push(id);
      return { ...e, id };
    }),
  };
}

const partOf = (job: JobDocument, p: Part): PartDocument => ({
  element: job.elements[p.element]?.id ?? '',
  ...(p.panels.length > 0 ? { panels: p.panels } : {}),
  ...(p.casting === null ? {} : { casting: p.casting }),
  ...(p.course === null ? {} : { course: p.course }),
});

/** A pour as the plan has it, said in so many words. */
const saidOf = (job: JobDocument, pour: Pour): PourDocument => ({
  id: pour.id,
  parts: pour.parts.map((p) => partOf(job, p)),
  date: pour.date ?? job.day.date,
  start: pour.start ?? '',
});

/** What of a pour may be changed by itself. */
export type PourChange = Partial<Pick<PourDocument, 'date' | 'start' | 'hands'>>;

/** The first pour that nothing was said of begins on the job's own day. */
const onJobsDay = (pour: Pour) => pour.said === null && pour.number === 1;

/** The job with a pour changed: one that was only proposed is said from then on. */
export function changePour(job: JobDocument, pour: Pour, change: PourChange): JobDocument {
  // By its name: the plan may not know yet that it was said.
  if (job.pours.some((p) => p.id === pour.id))
    return { ...job, pours: job.pours.map((p) => (p.id === pour.id ? { ...p, ...change } : p)) };
  if (onJobsDay(pour)) {
    const { date = job.day.date, start = job.day.start, hands } = change;
    return {
      ...job,
      day: { ...job.day, date, start },
      ...(hands == null ? {} : { mixing: { ...job.mixing, hands } }),
    };
  }
  const ready = named(job);
  return { ...ready, pours: [...ready.pours, { ...saidOf(ready, pour), ...change }] };
}

const sameBut = (a: PartDocument, b: PartDocument) =>
  a.element === b.element &&
  (a.casting ?? null) === (b.casting ?? null) &&
  (a.course ?? null) === (b.course ?? null);

/** The parts without one of them; `all` has the panels of the element that the plan knows. */
function without(parts: PartDocument[], part: PartDocument, all: number[]): PartDocument[] {
  return parts.flatMap((p) => {
    if (!sameBut(p, part)) return [p];
    if (!part.panels) return [];
    const left = (p.panels ?? all).filter((n) => !part.panels?.includes(n));
    return left.length === 0 ? [] : [{ ...p, panels: left }];
  });
}

/** The parts with one more; panels of one element lie together. */
function withPart(parts: PartDocument[], part: PartDocument): PartDocument[] {
  const at = parts.findIndex((p) => sameBut(p, part) && p.panels && part.panels);
  return at < 0
    ? [...parts, part]
    : parts.map((p, i) =>
        i === at ? { ...p, panels: [...(p.panels ?? []), ...(part.panels ?? [])].sort((a, b) => a - b) } : p,
      );
}

/** The day after the last pour. */
function dayAfter(pours: Pour[], job: JobDocument): string {
  const days = pours.map((p) => Date.parse(`${p.date ?? job.day.date}T00:00:00Z`)).filter(Number.isFinite);
  return days.length === 0 ? job.day.date : new Date(Math.max(...days) + DAY_MS).toISOString().slice(0, 10);
}

/**
 * The job with a panel, a casting or a course moved to another pour.
 * @param pours All pours of the plan.
 * @param moved What is moved.
 * @param to Id of the pour that it goes to; null gives it a day of its own.
 */
export function movePart(job: JobDocument, pours: Pour[], moved: Part, to: string | null): JobDocument {
  const ready = named(job);
  const part = partOf(ready, moved);
  const all = pours
    .flatMap((p) => p.parts)
    .filter((p) => p.element === moved.element)
    .flatMap((p) => p.panels);
  const left = ready.pours.map((p) => ({ ...p, parts: without(p.parts, part, all) }));
  const target = pours.find((p) => p.id === to);
  const kept = left.filter((p) => p.parts.length > 0 || p.id === to);
  if (!target) {
    const id = freshId('pour', [...pours.map((p) => p.id), ...ready.pours.map((p) => p.id)]);
    return { ...ready, pours: [...kept, { id, parts: [part], date: dayAfter(pours, ready), start: '' }] };
  }
  if (kept.some((p) => p.id === target.id))
    return {
      ...ready,
      pours: kept.map((p) => (p.id === target.id ? { ...p, parts: withPart(p.parts, part) } : p)),
    };
  const said = saidOf(ready, target);
  return { ...ready, pours: [...kept, { ...said, parts: withPart(said.parts, part) }] };
}

/** The job without an element, and without what pours had of it. */
export function withoutElement(job: JobDocument, at: number): JobDocument {
  const id = job.elements[at]?.id;
  return {
    ...job,
    elements: job.elements.toSpliced(at, 1),
    pours: job.pours
      .map((p) => ({ ...p, parts: p.parts.filter((q) => !id || q.element !== id) }))
      .filter((p) => p.parts.length > 0),
  };
}
