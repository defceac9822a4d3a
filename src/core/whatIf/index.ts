export {
  ROOMS,
  WHAT_IFS,
  whyNot,
  type FirstSign,
  type Limit,
  type Prevention,
  type RoomKeeps,
  type WhatIfId,
  type WhatIfResult,
} from './types';
export { playWhatIf } from './whatIf';
