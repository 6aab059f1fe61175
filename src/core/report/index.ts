export { markdownOf } from './markdown';
export { reportOf, type Block, type Report, type ReportPin, type ReportSection } from './report';
