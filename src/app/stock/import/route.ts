export { answerLots as POST } from '../../../features/stock/listRoute';
