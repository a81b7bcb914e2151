export { type ReportLine, type ReportSection, reportOf } from './report';
