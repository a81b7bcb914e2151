export { type LoggedSeries, meanBetween, seriesOf } from './logged';
