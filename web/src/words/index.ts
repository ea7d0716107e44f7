/** Every word on a screen, in one place. */
export * from './building';
export * from './days';
export * from './fields';
export * from './names';
export * from './screens';
export * from './mixing';
export * from './buying';
export * from './board';
export * from './tasks';
export * from './shop';
export * from './faults';
export * from './paper';
export * from './lookback';
export * from './household';
export { speak } from './english';
