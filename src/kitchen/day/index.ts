export { momentOf, readTime, sayTime, secondsOfDay } from './clock';
export { daysAfter, mondayOf, today } from './days';
export { askedBy, hoursOf, planDay, type Asked, type DayPlan } from './planDay';
