/** Figures and answers of the policy that are told with a task; what they say stands in `notes.ts`. */
export type NoteId =
  | 'approval'
  | 'proof'
  | 'depth'
  | 'feeder'
  | 'test-pressure'
  | 'vacuum'
  | 'decay'
  | 'charge'
  | 'water-coil'
  | 'low-pressure'
