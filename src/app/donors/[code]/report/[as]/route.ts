export { answerReport as GET } from '../../../../../features/donor/record/reportRoute.server';
