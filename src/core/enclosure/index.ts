export * from './box';
export * from './shell';
export * from './panes';
export * from './loads';
export * from './making';
export * from './turning';
