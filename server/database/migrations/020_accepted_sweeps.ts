/** Lit beams in keep-clear zones that are meant to be there can be accepted, with a reason. */
import { forward } from './forward'

const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`

export const { up, down } = forward([
  `create table accepted_sweep (show_id text not null references show (id) on delete cascade, id text not null,
    venue text not null, cue text not null, fixture text not null, zone text not null check (zone <> ''),
    reason text not null check (reason <> ''), primary key (show_id, id),
    unique (show_id, venue, cue, fixture, zone), ${TO('venue', 'venue')}, ${TO('cue', 'cue')}, ${TO('fixture', 'fixture')})`,
  'create index on accepted_sweep (show_id, cue)',
  'create index on accepted_sweep (show_id, fixture)',
])
