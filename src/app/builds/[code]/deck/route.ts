export { answerDeck as GET } from '../../../../features/builds/sheetRoute.server';
