export { answerNeeds as POST } from '../../../../features/builds/needsRoute.server';
