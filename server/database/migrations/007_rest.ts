/** Cues can let go of a value, back to rest; the starts of a list are counted. */
import { forward } from './forward'
import { journalledWhole } from './journalledField'

const STATEMENTS = [
  `alter table cue_value drop constraint cue_value_value_check, drop constraint cue_value_check, drop constraint cue_value_check1,
    add constraint cue_value_kind check (value->>'kind' in ('aim','angles','number','pool','link','rest')),
    add constraint cue_value_of_number check (attribute = 'position' or value->>'kind' in ('number','pool','link','rest')),
    add constraint cue_value_of_position check (attribute <> 'position' or value->>'kind' in ('aim','angles','link','rest'))`,
  `alter table cue_run add column "order" integer not null default 0 check ("order" >= 0)`,
  `update cue_run set "order" = started.place from (
    select r.show_id, r.id, row_number() over (partition by r.show_id order by r.started_at, r.list, c.number nulls first) as place
      from cue_run r left join cue c on c.show_id = r.show_id and c.id = r.cue
    ) as started where started.show_id = cue_run.show_id and started.id = cue_run.id`,
  ...journalledWhole('cueRun', '{"order":0}'),
]

export const { up, down } = forward(STATEMENTS)
