export * from './gates';
