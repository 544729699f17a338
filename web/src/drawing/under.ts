/** What lies under the cursor of a view: a member at a part of its length, or a joint. */
export interface Under {
  member?: string
  mark?: string
  /** 0 at the start of the member, 1 at its end */
  part: number
  joint?: string
  x: number
  y: number
}
