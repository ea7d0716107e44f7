import type { ElementReport, JointDocument } from '../../api/client';
import type { Formats } from '../../format/format';

/** The joints as drawn, said as a person would: the first change makes them one's own. */
export const jointsOf = (drawn: ElementReport, format: Formats): JointDocument[] =>
  drawn.joints.lines.map((l) => ({
    across: l.across,
    at: format.typedExact(l.atM),
    from: l.fromM === null ? '' : format.typedExact(l.fromM),
    to: l.toM === null ? '' : format.typedExact(l.toM),
    method: l.method,
  }));
