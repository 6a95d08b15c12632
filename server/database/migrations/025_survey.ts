/** What is known of the rig as it really hangs: surveyed targets, sightings, and the corrections that follow. */
import { forward } from './forward'

const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const within = (column: string, most: number) => `${column} double precision not null check (abs(${column}) <= ${most})`
const off = (metres: readonly string[], degrees: readonly string[]) =>
  [...metres.map((column) => within(column, 5)), ...degrees.map((column) => within(column, 45))].join(', ')

export const { up, down } = forward([
  `create table surveyed (${KEY}, venue text not null, target text not null, unique (show_id, venue, target),
    ${TO('venue', 'venue')}, ${TO('target', 'target')})`,
  `create table sighting (${KEY}, venue text not null, fixture text not null, target text not null,
    ${within('place_x', 1000)}, ${within('place_y', 1000)}, ${within('place_z', 1000)},
    ${within('pan', 3600)}, ${within('tilt', 3600)}, counts boolean not null, by text,
    at bigint not null check (at >= 0), ${TO('venue', 'venue')}, ${TO('fixture', 'fixture')},
    ${TO('target', 'target')}, ${TO('by', 'person')})`,
  `create table hang_correction (${KEY}, venue text not null, hang text not null, ${off(['x', 'y', 'z'], ['yaw'])},
    unique (show_id, venue, hang), ${TO('venue', 'venue')}, ${TO('hang', 'hang')})`,
  `create table fixture_correction (${KEY}, venue text not null, fixture text not null,
    ${off(['along', '"out"', '"drop"'], ['yaw', 'pitch', 'roll', 'tilt_zero'])},
    is_turned_round boolean not null, is_pan_inverted boolean not null, is_tilt_inverted boolean not null,
    unique (show_id, venue, fixture), ${TO('venue', 'venue')}, ${TO('fixture', 'fixture')})`,
  'create index on surveyed (show_id, target)',
  ...['venue', 'fixture', 'target', 'by'].map((column) => `create index on sighting (show_id, ${column})`),
  'create index on hang_correction (show_id, hang)',
  'create index on fixture_correction (show_id, fixture)',
])
