export { answerDatasheet as POST } from '../../../../features/types/datasheetRoute.server';
