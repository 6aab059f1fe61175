export { donorCautions, donorStress, sureTopologies } from './donorStress';
export { gradeReason, judgeRecord, ratingsForStock, readingsThatCount, underTest } from './judgeRecord';
export { lotFollows } from './lotFollows';
export { testContext, type TestContext } from './testContext';
export { tracedBoard } from './tracedBoard';
export { tracedValues, type TracedValues } from './tracedUnit';
