export { answerReport as GET } from '../../../../../features/donor/record/reportFiles.server';
