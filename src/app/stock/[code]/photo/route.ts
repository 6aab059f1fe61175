export { answerLotPhoto as POST } from '../../../../features/stock/lot/photoRoute.server';
