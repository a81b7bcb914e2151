export { type OwnersPage, ownersPage, type ReadingTwice } from './owners-page';
export { type ReportLine, type ReportSection, reportOf } from './report';
