/**
 * What selecting works on: colours and patterns of groups, working sets, what a person has set to
 * work by (neutral, blind, highlight) and the fixtures they bring out to be seen.
 */
import { forward } from './forward'
import { journalledField } from './journalledField'

const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const FAMILIES = `'intensity','position','beam','colour','gobo','shutters'`
const COLOURS = `'brass','coral','kelp','shoal','heather','rose','amber','sail'`
const PATTERNS = `'every','runs','parts','pairs','single'`

const STATEMENTS = [
  `alter table "group" add column colour text not null default 'brass' check (colour in (${COLOURS})),
    add column pattern jsonb check (pattern is null or pattern->>'kind' in (${PATTERNS}))`,
  `alter table "group" alter column colour drop default`,
  ...journalledField('group', 'name', 'colour', () => `'"brass"'::jsonb`),
  ...journalledField('group', 'number', 'pattern', () => `'null'::jsonb`),
  `alter table person
    add column neutral text[] not null default array['position','beam','colour','gobo','shutters'] check (neutral <@ array[${FAMILIES}]),
    add column neutral_once boolean not null default false,
    add column blind boolean not null default false,
    add column highlight text not null default 'off' check (highlight in ('off','brighter','others dimmed'))`,
  `alter table person alter column neutral drop default, alter column neutral_once drop default,
    alter column blind drop default, alter column highlight drop default`,
  `create table highlighted (${KEY}, person text not null, fixture text not null,
    unique (show_id, person, fixture) deferrable initially deferred, ${TO('person', 'person')}, ${TO('fixture', 'fixture')})`,
  `create table working_set (${KEY}, name text not null, unique (show_id, name) deferrable initially deferred)`,
  `create table working_set_member (${KEY}, working_set text not null, fixture text not null,
    unique (show_id, working_set, fixture) deferrable initially deferred,
    ${TO('working_set', 'working_set')}, ${TO('fixture', 'fixture')})`,
]

export const { up, down } = forward(STATEMENTS)
