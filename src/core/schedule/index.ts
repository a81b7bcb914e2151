export { type ScheduleAnswer, type ScheduleRequest, schedule, type Task } from './schedule';
