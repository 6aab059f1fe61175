export { answerPhoto as POST } from '../../../../../features/donor/photos/route.server';
