/** The migrations as modules, so that the built server, scripts and tests share them. */
import type { Knex } from 'knex'
import * as show from './001_show'
import * as rigRoom from './002_rig_room'
import * as selection from './003_selection'
import * as palettes from './004_palettes'
import * as cues from './005_cues'
import * as arrivals from './006_arrivals'
import * as rest from './007_rest'
import * as usualMasks from './008_usual_masks'
import * as recordedFixtures from './009_recorded_fixtures'
import * as steps from './010_steps'
import * as shapes from './011_shapes'
import * as access from './012_access'
import * as recordedInJournal from './013_recorded_in_journal'
import * as attributes from './014_attributes'
import * as colour from './015_colour'
import * as lamps from './016_lamps'
import * as corners from './017_corners'
import * as cells from './018_cells'
import * as travel from './019_travel'
import * as acceptedSweeps from './020_accepted_sweeps'
import * as darkMoves from './021_dark_moves'
import * as venues from './022_venues'
import * as passes from './023_passes'
import * as outputs from './024_outputs'
import * as survey from './025_survey'
import * as outside from './026_outside'
import * as prints from './027_prints'
import * as measuredLight from './028_measured_light'
import * as keptFiles from './029_kept_files'
import * as underlays from './030_underlays'

const MIGRATIONS: Readonly<Record<string, Knex.Migration>> = {
  '001_show': show,
  '002_rig_room': rigRoom,
  '003_selection': selection,
  '004_palettes': palettes,
  '005_cues': cues,
  '006_arrivals': arrivals,
  '007_rest': rest,
  '008_usual_masks': usualMasks,
  '009_recorded_fixtures': recordedFixtures,
  '010_steps': steps,
  '011_shapes': shapes,
  '012_access': access,
  '013_recorded_in_journal': recordedInJournal,
  '014_attributes': attributes,
  '015_colour': colour,
  '016_lamps': lamps,
  '017_corners': corners,
  '018_cells': cells,
  '019_travel': travel,
  '020_accepted_sweeps': acceptedSweeps,
  '021_dark_moves': darkMoves,
  '022_venues': venues,
  '023_passes': passes,
  '024_outputs': outputs,
  '025_survey': survey,
  '026_outside': outside,
  '027_prints': prints,
  '028_measured_light': measuredLight,
  '029_kept_files': keptFiles,
  '030_underlays': underlays,
}

export const migrationSource: Knex.MigrationSource<string> = {
  getMigrations: async () => Object.keys(MIGRATIONS),
  getMigrationName: (name) => name,
  getMigration: async (name) => {
    const migration = MIGRATIONS[name]
    if (!migration) throw new RangeError(`no migration ${name}`)
    return migration
  },
}
