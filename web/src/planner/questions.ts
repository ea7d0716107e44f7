interface Row {
  /** Asked with a key: this device plans too where the program is slow. What takes long is left to the program while it answers. */
  takes: 'quick' | 'long';
  /** Ways that the weather may go that a day is followed through on this device; the program takes 40, and 200 on the day. */
  membersHere: number;
}

export const MEMBERS_HERE = 20;

const quick: Row = { takes: 'quick', membersHere: MEMBERS_HERE };
const long: Row = { takes: 'long', membersHere: MEMBERS_HERE };

/** What can be asked of the planner, a row each, and what is done about it where the program does not answer. The contract has the same ones (api/client.ts). */
export const questions = {
  plan: quick,
  calendar: quick,
  tasks: quick,
  shop: quick,
  faults: quick,
  drawings: quick,
  lookback: long,
  practices: long,
  rehearse: long,
  // Of hundreds of hours the first ways tell which are worth following further.
  starts: { takes: 'long', membersHere: 24 },
} satisfies Record<string, Row>;

export type QuestionName = keyof typeof questions;

export const isQuestion = (name: string): name is QuestionName => name in questions;
