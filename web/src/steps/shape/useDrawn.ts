import type { ElementReport } from '../../api/client';
import { usePlanned } from '../../job/JobContext';
import type { ElementPointer } from '../../job/pointer';

/** The element at a path of the job, as it was last worked out. */
export function useDrawn(path: ElementPointer): ElementReport | undefined {
  const { sections } = usePlanned();
  const index = Number(path.split('/')[2]);
  return sections.shape?.elements.find((e) => e.index === index);
}
