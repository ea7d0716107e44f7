/** Sentences of what the planner found, and of its ways out: a third of all words, so they are a part of their own. */
export { findingText } from './findings';
export { remedyText } from './remedies';
