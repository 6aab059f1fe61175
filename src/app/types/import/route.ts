export { answerTypes as POST } from '../../../features/types/listRoute.server';
