/** Steps at which the usual caution is shown; the words are rows of the catalogue. */
export type CautionStep =
  | 'mixing'
  | 'curing'
  | 'stone'
  | 'electric'
  | 'pumps'
  | 'collecting'
  | 'cutting'
  | 'drilling'
  | 'vents'
  | 'sealing'
  | 'water'
  | 'panes'
  | 'lifting'
  | 'hygiene'
  | 'law';
