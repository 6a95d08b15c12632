/** What the stage can be written as. */
export const STAGE_FILES = ['dxf', 'glb', 'svg'] as const
export type StageFile = (typeof STAGE_FILES)[number]
