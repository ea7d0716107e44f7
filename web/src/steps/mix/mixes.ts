import type { ElementDocument, JobDocument, MixDocument, Units } from '../../api/client';
import { freshId } from '../../job/pours';

/** An id that no mix of the job has. */
export const newMixId = (job: JobDocument): string =>
  freshId(
    'mix',
    job.mixes.map((m) => m.id),
  );

/** The job without a mix; what took it takes the first. */
export const withoutMix = (job: JobDocument, id: string | undefined): JobDocument => ({
  ...job,
  mixes: job.mixes.filter((m) => m.id !== id),
  elements: job.elements.map((e) => {
    const freed = { ...e } as ElementDocument & Record<string, unknown>;
    for (const key of ['mix', 'toppingMix', 'slurryMix'])
      if (freed[key] === id && id !== undefined) Reflect.deleteProperty(freed, key);
    return freed;
  }),
});

/** A mix of the other kind to begin with; what it is measured with stays. */
export function otherKind(mix: MixDocument, kind: MixDocument['kind'], units: Units): MixDocument {
  const { id, exposure, containers, additives } = mix;
  const common = { ...(id === undefined ? {} : { id }), exposure, containers, additives };
  if (kind === 'ready') return { kind, ...common, strengthMpa: 25, stoneMm: 20, consistency: 'plastic' };
  return kind === 'parts'
    ? {
        kind,
        ...common,
        cement: 1,
        sand: 2,
        stone: 3,
        ballast: 0,
        stoneMm: 20,
        consistency: 'plastic',
        moisture: 'damp',
      }
    : {
        kind,
        ...common,
        bag: units === 'us' ? 'general-80lb' : 'general-25kg',
        waterPerBag: '',
        cementAdded: 0,
      };
}
