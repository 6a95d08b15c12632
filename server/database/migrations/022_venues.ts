/** Rooms the show plays in: notes and days, substitutes for what does not hang there, touch-ups. */
import { forward } from './forward'
import { journalledField } from './journalledField'

const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`

export const { up, down } = forward([
  `alter table venue add column note text not null default '' check (length(note) <= 2000),
    add column date text check (date ~ '^[0-9]{4}-[0-9]{2}-[0-9]{2}$')`,
  'alter table venue alter column note drop default',
  ...journalledField('venue', 'name', 'note', () => `'""'::jsonb`),
  ...journalledField('venue', 'name', 'date', () => `'null'::jsonb`),
  `create table substitute (show_id text not null references show (id) on delete cascade, id text not null,
    venue text not null, fixture text not null, by text not null, primary key (show_id, id),
    unique (show_id, venue, by), check (by <> fixture),
    ${TO('venue', 'venue')}, ${TO('fixture', 'fixture')}, ${TO('by', 'fixture')})`,
  'create index on substitute (show_id, fixture)',
  'create index on substitute (show_id, by)',
  `create table touch_up (show_id text not null references show (id) on delete cascade, id text not null,
    venue text not null, palette text not null, fixture text not null,
    offset_x double precision not null check (abs(offset_x) <= 1000),
    offset_y double precision not null check (abs(offset_y) <= 1000),
    offset_z double precision not null check (abs(offset_z) <= 1000),
    pan double precision not null check (abs(pan) <= 3600), tilt double precision not null check (abs(tilt) <= 3600),
    by text, at bigint not null, note text not null check (length(note) <= 500), primary key (show_id, id),
    ${TO('venue', 'venue')}, ${TO('palette', 'palette')}, ${TO('fixture', 'fixture')}, ${TO('by', 'person')})`,
  ...['venue', 'palette', 'fixture', 'by'].map((column) => `create index on touch_up (show_id, ${column})`),
])
