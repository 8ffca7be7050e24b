-- Mixing step by step, consistency as a number that is learned, and a rack that says what to do.

select set_config('app.studio_id', '00000000-0000-0000-0000-000000000000', true);

alter table studio
  -- Own names and seconds of the bands of consistency, thickest first; null: the start values.
  add column bands jsonb,
  -- How warm the rack stands, for what keeps.
  add column shelf_c smallint not null default 20 check (shelf_c between -10 and 45),
  -- House ratios by body and schools as changed, see src/core/mix/houseRules.ts; empty: the start values.
  add column ratios jsonb not null default '{}',
  add column schools jsonb not null default '{}';

-- The ratio of one paint, where it is not that of its body.
create table paint_ratio (
  studio_id uuid not null,
  paint_id uuid not null,
  medium numeric(8, 3) not null check (medium >= 0),
  paint numeric(8, 3) not null check (paint > 0),
  note text not null default '' check (char_length(note) <= 400),
  primary key (studio_id, paint_id),
  foreign key (studio_id, paint_id) references paint (studio_id, material_id)
);
select make_tenant('paint_ratio');

-- Short codes of bottles: a running number, scattered one to one over four letters (later five), so that neighbours
-- on the shelf do not look alike.
create sequence bottle_code_seq;
grant usage on sequence bottle_code_seq to fika_app;
create function bottle_code(n bigint) returns text language sql immutable as $$
  select string_agg(substr('0123456789ABCDEFGHJKMNPQRSTVWXYZ', 1 + ((x >> (5 * k)) & 31)::int, 1), '' order by k desc)
  from (select case when n < 1048576 then 4 else 5 end as len,
               case when n < 1048576 then (n * 363737 + 219845) % 1048576 else (n * 7654321 + 1234567) % 33554432 end as x) as s,
       generate_series(0, len - 1) as k
$$;

alter table bottle
  add column code text not null default bottle_code(nextval('bottle_code_seq')),
  add column palette text not null default '' check (char_length(palette) <= 80),
  -- What it was thinned for; null: anything.
  add column technique text,
  add column keep_until timestamptz,
  -- Last shaken, stirred, watered or read.
  add column moved_at timestamptz,
  -- Water added since its curve begins, ml per ml of what it was before; evaporation takes off.
  add column w real not null default 0 check (w > -1),
  -- Water lost by weigh-ins that was not given back yet, ml per ml of what it holds: taking out takes its share along.
  add column evaporated_share real not null default 0 check (evaporated_share >= 0),
  add column level_time_s real check (level_time_s > 0),
  add column read_at timestamptz,
  -- Water content when it was read.
  add column read_w real,
  -- How quickly water thins it, as its curve stood when it was read.
  add column curve_b real,
  -- How much ln of its level time rises a day by standing, as that was known when it was read.
  add column thickens real check (thickens >= 0),
  -- What the other bottles of its palette are brought to.
  add column is_reference boolean not null default false,
  -- Expected ΔE00 between its computed colour and the real one; null where nothing in it has colour.
  add column colour_off real check (colour_off >= 0),
  add unique (studio_id, code);
create index bottle_by_palette on bottle (studio_id, palette) where palette <> '';

alter table movement drop constraint movement_kind_check, add constraint movement_kind_check check (kind in
  ('purchase', 'mix', 'top-up', 'pour', 'take-out', 'discard', 'weigh-in', 'finish', 'undo', 'water', 'split', 'merge', 'reclaim'));

-- What a bottle was before others were merged into it, for the undo.
create table bottle_before (
  studio_id uuid not null,
  movement_id uuid not null,
  vessel_id uuid not null,
  facts jsonb not null,
  primary key (studio_id, movement_id, vessel_id),
  foreign key (studio_id, movement_id) references movement (studio_id, id),
  foreign key (studio_id, vessel_id) references bottle (studio_id, vessel_id)
);
select make_tenant('bottle_before', 'select, insert');

-- One mix being thinned: the paint and medium its curve is learned for, and the readings of its mound.
create table titration (
  studio_id uuid not null,
  id uuid not null,
  vessel_id uuid,
  paint_id uuid,
  medium_id uuid,
  body text not null,
  -- Medium : paint by volume.
  ratio real not null check (ratio >= 0),
  started_at timestamptz not null default now(),
  primary key (studio_id, id),
  foreign key (studio_id, vessel_id) references bottle (studio_id, vessel_id),
  foreign key (studio_id, paint_id) references paint (studio_id, material_id),
  foreign key (studio_id, medium_id) references material (studio_id, id)
);
create index titration_by_vessel on titration (studio_id, vessel_id, started_at desc);
create index titration_by_body on titration (studio_id, body, started_at desc);
select make_tenant('titration', 'select, insert, update');

create table level_reading (
  studio_id uuid not null,
  id uuid not null,
  titration_id uuid not null,
  request_id uuid not null,
  at timestamptz not null default now(),
  by uuid references account (id),
  w real not null check (w > -1),
  level_time_s real not null check (level_time_s > 0),
  -- Standard deviation of ln t.
  sigma real not null check (sigma > 0),
  tries real[] not null default '{}',
  how text not null check (how in ('stopwatch', 'flow cup', 'by eye')),
  -- Kinematic viscosity by a flow cup, mm²/s.
  nu real check (nu > 0),
  primary key (studio_id, id),
  unique (studio_id, request_id),
  foreign key (studio_id, titration_id) references titration (studio_id, id)
);
create index level_reading_by_titration on level_reading (studio_id, titration_id, at);
select make_tenant('level_reading', 'select, insert');

-- A mix in the making: what was planned, and what has happened since. Both are only ever added to.
create table mixing (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  kind text not null check (kind in ('guided', 'by eye')),
  -- As src/core/mix/guide.ts and src/stations/bench/guide describe it.
  plan jsonb not null,
  created_at timestamptz not null default now(),
  by uuid references account (id),
  -- The bottle it became.
  vessel_id uuid,
  ended_at timestamptz,
  primary key (studio_id, id),
  foreign key (studio_id, vessel_id) references vessel (studio_id, id)
);
create index mixing_open on mixing (studio_id, created_at desc) where ended_at is null;
select make_tenant('mixing', 'select, insert, update');

create table mixing_event (
  studio_id uuid not null,
  mixing_id uuid not null,
  n integer not null check (n > 0),
  request_id uuid not null,
  event jsonb not null,
  at timestamptz not null default now(),
  by uuid references account (id),
  primary key (studio_id, mixing_id, n),
  unique (studio_id, request_id),
  foreign key (studio_id, mixing_id) references mixing (studio_id, id)
);
select make_tenant('mixing_event', 'select, insert');

-- Recipes with a name; their versions are never changed, only followed by others.
create table recipe (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  name text not null check (char_length(btrim(name)) between 1 and 120),
  archived_at timestamptz,
  created_at timestamptz not null default now(),
  name_key text generated always as (lower(btrim(name))) stored,
  primary key (studio_id, id)
);
create unique index recipe_by_name on recipe (studio_id, name_key) where archived_at is null;
select make_tenant('recipe', 'select, insert, update');

create table recipe_version (
  studio_id uuid not null,
  recipe_id uuid not null,
  version integer not null check (version > 0),
  request_id uuid not null,
  at timestamptz not null default now(),
  by uuid references account (id),
  note text not null default '' check (char_length(note) <= 1000),
  -- As src/stations/bench/recipes/schema.ts describes it.
  body jsonb not null,
  primary key (studio_id, recipe_id, version),
  unique (studio_id, request_id),
  foreign key (studio_id, recipe_id) references recipe (studio_id, id)
);
select make_tenant('recipe_version', 'select, insert');

-- A stocktake under way: what was weighed of each bottle, by whichever device, until it is booked.
create table stocktake_weight (
  studio_id uuid not null,
  vessel_id uuid not null,
  -- Of this weight; its movement carries it too, once it is booked.
  request_id uuid not null,
  gross_mg integer not null check (gross_mg >= 0),
  tare_mg integer not null check (tare_mg >= 0),
  named text check (named in ('dried', 'spilled', 'residue')),
  -- What the books said was in it: a bottle that has changed since must be weighed again.
  held_as text not null,
  at timestamptz not null default clock_timestamp(),
  by uuid references account (id),
  primary key (studio_id, vessel_id),
  foreign key (studio_id, vessel_id) references bottle (studio_id, vessel_id)
);
select make_tenant('stocktake_weight');
