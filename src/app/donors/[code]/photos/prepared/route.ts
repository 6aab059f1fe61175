export { answerPrepared as POST } from '../../../../../features/donor/photos/route.server';
