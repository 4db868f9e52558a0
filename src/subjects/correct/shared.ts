export { attemptForm } from './input-attempt';
