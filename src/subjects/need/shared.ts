export { answerForm, claimFieldName, needForm } from './input-need';
export { describeAcceptanceTest, describeAnswer, describeClaim, describeOrigin } from './words-need';
