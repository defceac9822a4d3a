/** The made-up nature room of a school: its enclosures, its shelf, its log, its readings, its animals and equipment. */
export { DEMO_SHELF, demoDesigns, demoOn } from './designs';
export { demoLog } from './log';
export { demoReadings } from './readings';
export { dayAgo, demoAnimals, demoCultures, demoEquipment, demoSeen } from './records';
