export {
  type AlignmentCase,
  type AlignmentRequest,
  boardAlignment,
  type PinStrip,
  ROCKING,
} from './alignment';
export { type BoardFitAnswer, type BoardFitRequest, type BoardLine, type BoardSheet, boardFit } from './fit';
