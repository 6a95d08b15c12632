/** Which papers were printed when, and what their lines said. */
import { forward } from './forward'

export const { up, down } = forward([
  `create table print (show_id text not null references show (id) on delete cascade,
    id text not null, paper text not null check (id = paper and paper in ('palette-charts','fixture-charts','hang-plot','patch','hook-up','cue-lists',
      'carry-sheet','magic-sheet','differences','work-list','travel')),
    version integer not null check (version between 1 and 1000000),
    at bigint not null check (at between 0 and 8640000000000000),
    lines text not null check (length(lines) <= 4000000 and lines ~ '^([0-9a-f]{20})*$'),
    primary key (show_id, id))`,
])
