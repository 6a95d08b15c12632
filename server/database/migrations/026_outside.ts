/** What comes from outside: how trackers and controls are listened to, and what follows or obeys them. */
import { forward } from './forward'

const TO = (column: string, table: string) =>
  `foreign key (show_id, ${column}) references ${table} (show_id, id) deferrable initially deferred`
const KEY = `show_id text not null references show (id) on delete cascade, id text not null, primary key (show_id, id)`
const between = (column: string, least: number, most: number) =>
  `${column} double precision not null check (${column} between ${least} and ${most})`
const port = (column: string) => `${column} integer not null check (${column} between 1 and 65535)`

export const { up, down } = forward([
  `create table tracking (${KEY}, venue text not null, is_on boolean not null, "from" text not null,
    ${['origin_x', 'origin_y', 'origin_z'].map((column) => between(column, -1000, 1000)).join(', ')},
    ${between('turn', -3600, 3600)}, depth text not null check (depth in ('upstage','downstage')),
    check (id = venue), ${TO('venue', 'venue')})`,
  `create table tracked_target (${KEY}, target text not null,
    tracker integer not null check (tracker between 0 and 65535), ${between('above', -5, 5)},
    ${between('smoothing', 0, 5)}, ${between('fastest', 0.1, 30)}, ${between('"within"', 0.1, 200)},
    ${between('lost_after', 0.1, 60)}, when_lost text not null check (when_lost in ('stays','goes back')),
    check (id = target), ${TO('target', 'target')})`,
  `create table control_line (${KEY}, is_on boolean not null, "from" text not null, ${port('port')}, person text,
    answer_to text[] not null check (cardinality(answer_to) <= 16), ${port('answer_port')},
    check (id = 'osc'), ${TO('person', 'person')})`,
  `create table control_binding (${KEY}, address text not null check (length(address) <= 200),
    does text not null check (does in ('go','back','pause','list master','grand master','recall','nudge')),
    list text, output text, palette text, axis text check (axis in ('x','y','z')), ${between('metres', -10, 10)},
    unique (show_id, address) deferrable initially deferred,
    check ((list is not null) = (does in ('go','back','pause','list master'))),
    check ((output is not null) = (does = 'grand master')), check ((palette is not null) = (does = 'recall')),
    check ((axis is not null) = (does = 'nudge')),
    ${TO('list', 'cue_list')}, ${TO('output', 'output')}, ${TO('palette', 'palette')})`,
  'create index on tracking (show_id, venue)',
  'create index on tracked_target (show_id, target)',
  'create index on control_line (show_id, person)',
  ...['list', 'output', 'palette'].map((column) => `create index on control_binding (show_id, ${column})`),
])
