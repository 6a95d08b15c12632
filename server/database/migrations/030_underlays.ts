/** Drawings and pictures that lie under the plan of a venue, to trace on. */
import { forward } from './forward'

const between = (column: string, least: number, most: number) =>
  `${column} double precision not null check (${column} between ${least} and ${most})`

export const { up, down } = forward([
  `create table underlay (show_id text not null references show (id) on delete cascade, id text not null,
    venue text not null, name text not null check (length(name) between 1 and 200),
    digest text not null, size integer not null, form text not null check (form in ('lines', 'picture')),
    ${['width', 'height'].map((column) => `${column} double precision not null check (${column} > 0 and ${column} <= 10000000)`).join(', ')},
    ${between('scale', 0.000001, 100000)}, mirrored boolean not null, ${between('turn', -3600, 3600)},
    ${between('x', -1000, 1000)}, ${between('y', -1000, 1000)}, ${between('strength', 0.05, 1)},
    visible boolean not null, hidden text[] not null check (cardinality(hidden) <= 1000),
    primary key (show_id, id), unique (show_id, venue, name) deferrable initially deferred,
    foreign key (show_id, venue) references venue (show_id, id) deferrable initially deferred,
    foreign key (show_id, digest, size) references stored_file (show_id, digest, size) deferrable initially deferred)`,
  'create index on underlay (show_id, digest)',
  'create index on underlay (show_id, venue)',
])
