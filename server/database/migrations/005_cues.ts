/**
 * What cues in full need: lists with a priority, a master and a mask, cues that follow, times of
 * families and fixtures, values that are blocked or held, what is running, and kept versions.
 */
import { forward } from './forward'
import { journalledField, journalledWhole } from './journalledField'

const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const FAMILY_NAMES = `'intensity','position','beam','colour','gobo','shutters'`
const FAMILIES = `array[${FAMILY_NAMES}]`
const ATTRIBUTES = `array['intensity','position','zoom','edge','iris','red','green','blue','colourWheel','gobo','gobo2',
  'shutterTop','shutterRight','shutterBottom','shutterLeft']`
const ALL_FAMILIES = `["intensity","position","beam","colour","gobo","shutters"]`

const STATEMENTS = [
  `alter table cue_list
    add column priority integer not null default 5 check (priority between 1 and 9),
    add column level double precision not null default 1 check (level between 0 and 1),
    add column take text[] not null default ${FAMILIES} check (take <@ ${FAMILIES}),
    add column held_back text[] not null default '{}' check (held_back <@ ${ATTRIBUTES}),
    add column paused_at bigint check (paused_at >= 0)`,
  `alter table cue_list alter column priority drop default, alter column level drop default,
    alter column take drop default, alter column held_back drop default`,
  ...journalledField('cueList', 'number', 'priority', () => `'5'::jsonb`),
  ...journalledField('cueList', 'name', 'level', () => `'1'::jsonb`),
  ...journalledField('cueList', 'intensityRule', 'take', () => `'${ALL_FAMILIES}'::jsonb`),
  ...journalledField('cueList', 'level', 'heldBack', () => `'[]'::jsonb`),
  ...journalledField('cueList', 'priority', 'pausedAt', () => `'null'::jsonb`),
  `alter table cue add column delay double precision not null default 0 check (delay >= 0),
    add column follow text not null default 'wait' check (follow in ('wait','after','with'))`,
  `alter table cue alter column delay drop default, alter column follow drop default`,
  ...journalledField('cue', 'rise', 'delay', () => `'0'::jsonb`),
  ...journalledField('cue', 'name', 'follow', () => `'"wait"'::jsonb`),
  `create table cue_time (${KEY}, cue text not null, fixture text, family text check (family in (${FAMILY_NAMES})),
    seconds double precision check (seconds >= 0), delay double precision check (delay >= 0),
    check (fixture is not null or family is not null), check (seconds is not null or delay is not null),
    unique nulls not distinct (show_id, cue, fixture, family), ${TO('cue', 'cue')}, ${TO('fixture', 'fixture')})`,
  `alter table cue_value add column mark text check (mark in ('blocked','held')), add column source text,
    add constraint cue_value_source_held check (source is null or mark = 'held'), add ${TO('source', 'palette')}`,
  ...journalledWhole('cueValue', '{"mark":null,"source":null}'),
  `create table cue_run (${KEY}, list text not null, cue text, "from" text, started_at bigint not null check (started_at >= 0),
    seconds double precision check (seconds >= 0), settled boolean not null, ${TO('list', 'cue_list')},
    foreign key (show_id, list, cue) references cue (show_id, list, id) deferrable initially deferred,
    foreign key (show_id, list, "from") references cue (show_id, list, id) deferrable initially deferred)`,
  `create table version (show_id text not null references show (id) on delete cascade, id text not null, name text not null check (name <> ''),
    at timestamptz not null default now(), person text not null, automatic boolean not null, revision integer not null check (revision >= 0),
    contents bytea not null, primary key (show_id, id))`,
]

export const { up, down } = forward(STATEMENTS)
