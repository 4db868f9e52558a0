export { describeNoDay, nameDayStep } from './words-day';
