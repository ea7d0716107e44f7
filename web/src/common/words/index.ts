/** Every word on a screen, in one place. */
export * from './findings';
export * from './screens';
export * from './whys';
