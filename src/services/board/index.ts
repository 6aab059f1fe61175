export { donorCautions, donorStress } from './donorStress';
export { judgeRecord, ratingsForStock, readingsThatCount, underTest } from './judgeRecord';
export { testContext, type TestContext } from './testContext';
export { tracedBoard } from './tracedBoard';
