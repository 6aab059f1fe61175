export { answerSheet as GET } from '../../../../features/builds/sheetRoute.server';
