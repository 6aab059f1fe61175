export { answerLotPhoto as POST } from '../../../../features/stock/photoRoute';
