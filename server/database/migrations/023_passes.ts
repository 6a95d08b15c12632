/** Passes: what is checked on the real stage, by whom, and what was said of it; notes on cues. */
import { forward } from './forward'
import { journalledField } from './journalledField'

const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const NULL = () => `'null'::jsonb`

export const { up, down } = forward([
  `alter table person add column checking text, add column "only" text,
    add ${TO('checking', 'palette')}, add ${TO('"only"', 'fixture')}`,
  'create index on person (show_id, checking)',
  'create index on person (show_id, "only")',
  ...journalledField('person', 'name', 'checking', NULL),
  ...journalledField('person', 'name', 'only', NULL),
  `create table pass (${KEY}, venue text not null,
    "order" text not null check ("order" in ('by cue','by walk','by hand')),
    level double precision not null check (level between 0 and 1),
    others text not null check (others in ('out','as they are')),
    corrections text not null check (corrections in ('for good','for here')),
    started_at bigint not null check (started_at >= 0), unique (show_id, venue), ${TO('venue', 'venue')})`,
  `create table pass_step (${KEY}, pass text not null, palette text not null,
    rank integer check (rank between 0 and 100000), mark text check (mark in ('another look','cannot be done')),
    note text not null check (length(note) <= 500), unique (show_id, pass, palette),
    ${TO('pass', 'pass')}, ${TO('palette', 'palette')})`,
  `create table pass_check (${KEY}, pass text not null, palette text not null, fixture text not null,
    pan double precision not null check (abs(pan) <= 3600), tilt double precision not null check (abs(tilt) <= 3600),
    by text, at bigint not null check (at >= 0), unique (show_id, pass, palette, fixture),
    ${TO('pass', 'pass')}, ${TO('palette', 'palette')}, ${TO('fixture', 'fixture')}, ${TO('by', 'person')})`,
  `create table cue_note (${KEY}, venue text not null, cue text not null,
    text text not null check (length(text) between 1 and 500), by text, at bigint not null check (at >= 0),
    is_done boolean not null, ${TO('venue', 'venue')}, ${TO('cue', 'cue')}, ${TO('by', 'person')})`,
  'create index on pass_step (show_id, palette)',
  ...['palette', 'fixture', 'by'].map((column) => `create index on pass_check (show_id, ${column})`),
  ...['venue', 'cue', 'by'].map((column) => `create index on cue_note (show_id, ${column})`),
])
