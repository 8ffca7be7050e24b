-- The pour itself: a run of one or several pieces, followed by events; and one piece for each object.

-- A run: what was to be poured, and what has happened since. Both are only ever added to.
create table run (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  plan_id uuid,
  -- As src/core/run/runPlan.ts describes it.
  plan jsonb not null,
  begun_at timestamptz not null default now(),
  by uuid references account (id),
  -- Set while its paint is booked; null again once that was undone.
  booked_at timestamptz,
  -- How often it was booked: what follows from a booking has ids of its own each time.
  bookings integer not null default 0,
  put_aside_at timestamptz,
  primary key (studio_id, id),
  foreign key (studio_id, plan_id) references plan (studio_id, id)
);
create index run_open on run (studio_id, begun_at desc) where booked_at is null and put_aside_at is null;
select make_tenant('run', 'select, insert, update');

create table run_event (
  studio_id uuid not null,
  run_id uuid not null,
  n integer not null check (n > 0),
  request_id uuid not null,
  -- As src/core/run/events.ts describes it.
  event jsonb not null,
  at timestamptz not null default now(),
  by uuid references account (id),
  primary key (studio_id, run_id, n),
  unique (studio_id, request_id),
  foreign key (studio_id, run_id) references run (studio_id, id)
);
select make_tenant('run_event', 'select, insert');

-- Photos taken while it is poured; they go with the piece once it is booked.
create table run_photo (
  studio_id uuid not null,
  id uuid not null,
  run_id uuid not null,
  width integer not null,
  height integer not null,
  image bytea not null check (octet_length(image) < 8000000),
  taken_at timestamptz not null default now(),
  primary key (studio_id, id),
  foreign key (studio_id, run_id) references run (studio_id, id)
);
create index run_photo_of on run_photo (studio_id, run_id);
select make_tenant('run_photo', 'select, insert');

alter table movement drop constraint movement_kind_check, add constraint movement_kind_check check (kind in
  ('purchase', 'mix', 'top-up', 'pour', 'take-out', 'discard', 'weigh-in', 'finish', 'undo', 'water', 'split', 'merge',
   'reclaim', 'pour-back', 'run-off', 'set-split'));

-- Rows of every studio are read and rewritten.
alter table piece no force row level security;
alter table plan no force row level security;
alter table vessel no force row level security;
alter table vessel_content no force row level security;
alter table movement no force row level security;
alter table movement_line no force row level security;
alter table run no force row level security;

-- One movement may pour on several pieces; a piece knows its run, its set, and what it was poured into with.
alter table piece drop constraint piece_studio_id_movement_id_key;
create index piece_by_movement on piece (studio_id, movement_id);
alter table piece add column run_id uuid;
alter table piece add constraint piece_run foreign key (studio_id, run_id) references run (studio_id, id);
-- Pieces of one set share this; null where it is one alone.
alter table piece add column set_id uuid;
create index piece_of_set on piece (studio_id, set_id) where set_id is not null;
-- Of a set that was told apart later: the vessel all of its paint was poured into, and this piece's share of it.
alter table piece add column poured_into uuid;
alter table piece add column poured_share double precision not null default 1 check (poured_share > 0 and poured_share <= 1);
-- How it is known what stayed on it; null where nobody said.
alter table piece add column stayed_how text check (stayed_how in ('weighed', 'by run-off', 'estimated'));
alter table piece add column dries_at text not null default '' check (char_length(dries_at) <= 60);

-- When it wants to be looked at again.
create table look_due (
  studio_id uuid not null,
  piece_id uuid not null,
  moment text not null check (moment in ('hour', 'day', 'dry')),
  due_at timestamptz not null,
  done_at timestamptz,
  primary key (studio_id, piece_id, moment),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index look_due_open on look_due (studio_id, due_at) where done_at is null;
select make_tenant('look_due', 'select, insert, update');

update piece set poured_into = vessel_id;
alter table piece alter column poured_into set not null;
alter table piece add constraint piece_poured_into foreign key (studio_id, poured_into) references vessel (studio_id, id);

-- Sets that hung as one piece become one piece for each object, and what is left of their paint is shared by area.
create function face_of(s jsonb) returns double precision language sql immutable as $$
  select case s ->> 'shape'
    when 'rectangle' then (s ->> 'lengthMm')::float8 * (s ->> 'widthMm')::float8
    when 'ellipse' then pi() / 4 * (s ->> 'lengthMm')::float8 * (s ->> 'widthMm')::float8
    when 'round' then pi() / 4 * (s ->> 'diameterMm')::float8 ^ 2
    when 'polygon' then (s ->> 'sides')::float8 / 8 * (s ->> 'acrossMm')::float8 ^ 2 * sin(2 * pi() / (s ->> 'sides')::float8)
    when 'tiles' then (s ->> 'across')::float8 * (s ->> 'down')::float8 * (s ->> 'lengthMm')::float8 * (s ->> 'widthMm')::float8
    when 'area' then (s ->> 'areaMm2')::float8
    else (select coalesce(sum(pi() * (r + before_r) * sqrt((r - before_r) ^ 2 + (h - before_h) ^ 2)), 1) from (
      select (p ->> 'radiusMm')::float8 r, (p ->> 'heightMm')::float8 h,
        lag((p ->> 'radiusMm')::float8) over (order by n) before_r, lag((p ->> 'heightMm')::float8) over (order by n) before_h
      from jsonb_array_elements(s -> 'points') with ordinality as x (p, n)) as y where before_r is not null)
  end $$;

do $$
declare
  one record;
  object record;
  whole double precision;
  new_piece uuid;
  new_vessel uuid;
  told uuid;
begin
  for one in
    select p.*, coalesce(
        (select jsonb_agg(s -> 'surface') from plan, jsonb_array_elements(plan.design -> 'surfaces') s
         where plan.studio_id = p.studio_id and plan.id = p.plan_id), jsonb_build_array(p.surface)) as surfaces
    from piece p where p.fate <> 'undone'
  loop
    if (select sum((s ->> 'count')::int) from jsonb_array_elements(one.surfaces) s) < 2 then continue; end if;
    -- What a foreign key points at is looked up under the studio's own policies.
    perform set_config('app.studio_id', one.studio_id::text, true);
    whole := (select sum((s ->> 'count')::int * face_of(s)) from jsonb_array_elements(one.surfaces) s);
    told := gen_random_uuid();
    insert into movement (studio_id, id, kind, request_id, payload_hash, at, note)
      values (one.studio_id, told, 'set-split', gen_random_uuid(), 'told apart', now(), left(one.title, 1000));
    for object in
      select s || '{"count": 1}' as surface, face_of(s) / whole as share, row_number() over (order by n, k) as no,
        round(one.surface_cost_minor * face_of(s) / whole)::bigint as cost
      from jsonb_array_elements(one.surfaces) with ordinality as x (s, n), generate_series(1, (s ->> 'count')::int) k
      order by 3
    loop
      if object.no = 1 then
        update piece set surface = object.surface, set_id = one.id, poured_share = object.share,
          title = left(one.title, 114) || ' (1)', surface_cost_minor = object.cost
          where studio_id = one.studio_id and id = one.id;
        continue;
      end if;
      new_piece := gen_random_uuid();
      new_vessel := gen_random_uuid();
      insert into vessel (studio_id, id, kind, label, created_at)
        values (one.studio_id, new_vessel, 'pour', left(one.title, 114) || ' (' || object.no || ')', one.poured_at);
      insert into piece (studio_id, id, plan_id, vessel_id, movement_id, title, technique, surface, surface_cost_minor, poured_at,
          drying_notes, next_time, rating, faults, fate, set_id, poured_into, poured_share)
        values (one.studio_id, new_piece, one.plan_id, new_vessel, one.movement_id, left(one.title, 114) || ' (' || object.no || ')',
          one.technique, object.surface, object.cost, one.poured_at, one.drying_notes, one.next_time, one.rating, one.faults,
          one.fate, one.id, one.vessel_id, object.share);
      -- By what the first held before any was taken off it: its own rest keeps what rounding leaves.
      insert into movement_line (studio_id, movement_id, line_no, lot_id, from_vessel_id, to_vessel_id, ul)
        select one.studio_id, told, 1000 * object.no + row_number() over (order by c.lot_id), c.lot_id, one.vessel_id, new_vessel,
          floor((c.ul + coalesce(g.ul, 0)) * object.share)
        from vessel_content c
        left join (select lot_id, sum(ul) as ul from movement_line where studio_id = one.studio_id and movement_id = told group by 1) g
          on g.lot_id = c.lot_id
        where c.studio_id = one.studio_id and c.vessel_id = one.vessel_id and floor((c.ul + coalesce(g.ul, 0)) * object.share) > 0;
      insert into vessel_content (studio_id, vessel_id, lot_id, ul)
        select studio_id, to_vessel_id, lot_id, ul from movement_line
        where studio_id = one.studio_id and movement_id = told and to_vessel_id = new_vessel;
      update vessel_content c set ul = c.ul - l.ul from movement_line l
        where l.studio_id = one.studio_id and l.movement_id = told and l.to_vessel_id = new_vessel
          and c.studio_id = one.studio_id and c.vessel_id = one.vessel_id and c.lot_id = l.lot_id;
    end loop;
  end loop;
end $$;
drop function face_of(jsonb);

alter table piece force row level security;
alter table plan force row level security;
alter table vessel force row level security;
alter table vessel_content force row level security;
alter table movement force row level security;
alter table movement_line force row level security;
alter table run force row level security;
