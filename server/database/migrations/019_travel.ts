/** How light travels may be said for a list and for fixtures in a cue as well; a cue may leave it to its list. */
import { forward } from './forward'
import { journalledField, journalledWhole } from './journalledField'

const TRAVELS = `travel in ('straight','angle')`

export const { up, down } = forward([
  'alter table cue alter column travel drop not null',
  `alter table cue_list add column travel text check (${TRAVELS})`,
  `alter table cue_time add column travel text check (${TRAVELS}), add constraint cue_time_travel_of_fixture
     check (travel is null or (fixture is not null and (family is null or family = 'position')))`,
  'alter table cue_time drop constraint cue_time_check1',
  `alter table cue_time add constraint cue_time_says_something
     check (seconds is not null or delay is not null or travel is not null)`,
  ...journalledField('cueList', 'name', 'travel', () => `'null'::jsonb`),
  ...journalledWhole('cueTime', '{"travel":null}'),
])
