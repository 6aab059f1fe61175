export { donorCautions, donorStress } from './donorStress';
export { gradeReason, judgeRecord, ratingsForStock, readingsThatCount, underTest } from './judgeRecord';
export { lotFollows } from './lotFollows';
export { placeStress, type PlaceStress } from './placeStress';
export { testContext, type TestContext } from './testContext';
export { tracedBoard } from './tracedBoard';
export { partRoles, sureTopologies, tracedReading } from './tracedReading';
export { tracedValues, type TracedValues } from './tracedUnit';
export { powerUpOf, type PowerUp } from './powerUp';
