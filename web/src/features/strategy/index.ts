export * from './lines';
export * from './present';
