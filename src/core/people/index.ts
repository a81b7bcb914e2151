export * from './own-place';
export * from './person';
export * from './role';
