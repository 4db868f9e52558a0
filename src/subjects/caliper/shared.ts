export { instrumentForm, sessionForm } from './input-caliper';
