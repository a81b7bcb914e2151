export {
  type FlatCableAnswer,
  type FlatCableRequest,
  type FlatEnd,
  flatCable,
  LATCH_KINDS,
  LATCHES,
  type Latch,
} from './flat-cable';
