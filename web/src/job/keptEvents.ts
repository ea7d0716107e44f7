import type { JobEvent } from '../api/client';

/** A line as it was kept before events had kinds of their own. */
interface OldLine {
  id: string;
  at: string;
  kind: string;
  product?: number | null;
  strikes?: string | null;
  note?: string;
}

const renamed: Record<string, 'coverOn' | 'coverOff' | 'boardsOff'> = {
  covered: 'coverOn',
  uncovered: 'coverOff',
  formsOff: 'boardsOff',
};

function upgraded(line: OldLine): JobEvent {
  if ('pour' in line) return line as unknown as JobEvent;
  const common = { id: line.id, at: line.at, pour: '', device: '', note: line.note ?? '' };
  const kind = renamed[line.kind];
  if (kind) return { kind, ...common };
  if (line.kind === 'struck' && line.strikes) return { kind: 'withdrawn', line: line.strikes, ...common };
  if (line.kind === 'coated' && line.product != null)
    return { kind: 'coated', product: line.product, ...common };
  return line.kind === 'wetted' ? { kind: 'wetted', ...common } : { kind: 'noted', ...common };
}

/** Lines that were told on this device and never sent, whichever Set Firm kept them. */
export const keptEvents = (kept: unknown): JobEvent[] =>
  Array.isArray(kept) ? kept.map((line) => upgraded(line as OldLine)) : [];
