import type { EdgeDocument } from '../../api/client';
import { joints } from '../../words';

const plain: EdgeDocument = { meets: 'form' };

/** The edges of an outline to choose from, by their numbers. */
export const edgeNames = (count: number): Record<string, string> =>
  Object.fromEntries(Array.from({ length: count }, (_, i) => [String(i), joints.edge(i + 1)]));

/** The list of edges with one of them changed; it grows as far as that edge. */
export function setEdge(edges: EdgeDocument[], i: number, change: Partial<EdgeDocument>): EdgeDocument[] {
  const grown = Array.from({ length: Math.max(edges.length, i + 1) }, (_, k) => edges[k] ?? plain);
  return grown.map((edge, k) => (k === i ? { ...edge, ...change } : edge));
}
