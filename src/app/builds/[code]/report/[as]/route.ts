export { answerBuildReport as GET } from '../../../../../features/builds/reportRoute.server';
