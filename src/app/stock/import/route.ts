export { answerLots as POST } from '../../../features/stock/lists/route.server';
