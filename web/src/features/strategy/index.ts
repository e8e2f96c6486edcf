export * from './lines';
export * from './present';
export { SheetLinks } from './SheetLinks';
