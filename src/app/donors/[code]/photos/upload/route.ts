export { answerPhoto as POST } from '../../../../../features/donor/photoRoute';
