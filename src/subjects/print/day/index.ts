import 'server-only';

export { type DayThing, type DayView, viewDay } from './view-day';
