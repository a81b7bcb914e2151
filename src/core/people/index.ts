export * from './person';
export * from './role';
export * from './way-back';
