/** What the demo holds beside its enclosures: their designs, which take the whole core, come ready from the server. */
export { demoOn } from './days';
export { demoLog } from './log';
export { demoReadings } from './readings';
export { dayAgo, demoAnimals, demoCultures, demoEquipment, demoSeen } from './records';
export { DEMO_SHELF } from './shelf';
