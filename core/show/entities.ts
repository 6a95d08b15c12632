/**
 * What a show is made of. Show-wide things and their place in each venue are apart, so that the
 * same palettes and cues play in every venue.
 */
import type { EntityOf } from './kinds'

export { DIMMER_CURVES, plainChannel } from './entities/channels'
export * from './entities/cues'
export * from './entities/keptFiles'
export * from './entities/outputs'
export * from './entities/outside'
export * from './entities/palettes'
export * from './entities/passes'
export * from './entities/people'
export * from './entities/prints'
export * from './entities/rig'
export * from './entities/stage'
export * from './entities/survey'
export { entryNumber, TRAVELS } from './entities/parts'

export type FixtureType = EntityOf['fixtureType']
export type FixtureMode = EntityOf['fixtureMode']
export type Channel = FixtureMode['channels'][number]
export type Optics = FixtureType['optics']
export type Wheel = FixtureType['wheels'][number]
export type Fixture = EntityOf['fixture']
export type Venue = EntityOf['venue']
export type Level = Venue['levels'][number]
export type Palette = EntityOf['palette']
export type PaletteValue = EntityOf['paletteValue']
export type TouchUp = EntityOf['touchUp']
export type Output = EntityOf['output']
export type Tracking = EntityOf['tracking']
export type TrackedTarget = EntityOf['trackedTarget']
export type ControlLine = EntityOf['controlLine']
export type ControlBinding = EntityOf['controlBinding']
export type HangCorrection = EntityOf['hangCorrection']
export type FixtureCorrection = EntityOf['fixtureCorrection']
export type Pass = EntityOf['pass']
export type PassStep = EntityOf['passStep']
export type PassCheck = EntityOf['passCheck']
export type RigFile = EntityOf['rigFile']
export type Underlay = EntityOf['underlay']
export type TypeFile = EntityOf['typeFile']
export type Print = EntityOf['print']
export type Cue = EntityOf['cue']
export type CueList = EntityOf['cueList']
export type CueTime = EntityOf['cueTime']
export type DarkRule = EntityOf['darkRule']
export type CueRun = EntityOf['cueRun']
export type CueValue = EntityOf['cueValue']
export type HandValue = EntityOf['handValue']
export type Target = EntityOf['target']
export type TargetForm = Target['form']
export type Solid = EntityOf['setPiece']['solids'][number]
