export { markdownOf } from './markdown';
export { PLOT, plotSvg, plotted } from './plot';
export { reportOf, type Block, type PlotLine, type Report, type ReportPin, type ReportSection } from './report';
