/** The made-up nature room of a school: its enclosures, its shelf, its log, its readings, its animals, cultures and equipment. */
export * from './beside';
export { demoDesigns } from './designs';
