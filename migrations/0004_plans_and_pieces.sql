-- A plan: one surface, a technique, and which bottle gives how much for what.
create table plan (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  title text not null check (char_length(btrim(title)) between 1 and 120),
  technique text not null,
  surface jsonb not null,
  coverage jsonb not null,
  surface_cost_minor bigint not null default 0 check (surface_cost_minor between 0 and 100000000),
  cup_ul bigint not null check (cup_ul between 0 and 3000000000),
  notes text not null default '' check (char_length(notes) <= 4000),
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  poured_at timestamptz,
  archived_at timestamptz,
  primary key (studio_id, id)
);
create index plan_by_time on plan (studio_id, created_at desc);
select make_tenant('plan', 'select, insert, update');

create table plan_part (
  studio_id uuid not null,
  plan_id uuid not null,
  line_no integer not null,
  use text not null check (use in ('cup', 'base coat', 'slip coat', 'reserve')),
  vessel_id uuid not null,
  -- Share in the cup, by parts; null for what is planned apart.
  parts numeric(10, 4) check (parts > 0),
  ul bigint not null check (ul between 1 and 3000000000),
  primary key (studio_id, plan_id, line_no),
  foreign key (studio_id, plan_id) references plan (studio_id, id),
  foreign key (studio_id, vessel_id) references bottle (studio_id, vessel_id)
);
create index plan_part_by_vessel on plan_part (studio_id, vessel_id);
select make_tenant('plan_part');

-- What a pour became. Its paint stands in a vessel of kind pour.
create table piece (
  studio_id uuid not null,
  id uuid not null,
  plan_id uuid,
  vessel_id uuid not null,
  movement_id uuid not null,
  title text not null check (char_length(btrim(title)) between 1 and 120),
  technique text not null,
  surface jsonb not null,
  surface_cost_minor bigint not null default 0,
  poured_at timestamptz not null,
  drying_notes text not null default '' check (char_length(drying_notes) <= 8000),
  rating smallint check (rating between 1 and 5),
  faults text[] not null default '{}',
  fate text not null default 'drying' check (fate in ('drying', 'keep', 'sold', 'gift', 'rework', 'scrap', 'undone')),
  updated_at timestamptz not null default now(),
  revision integer not null default 1,
  primary key (studio_id, id),
  unique (studio_id, vessel_id),
  unique (studio_id, movement_id),
  foreign key (studio_id, plan_id) references plan (studio_id, id),
  foreign key (studio_id, vessel_id) references vessel (studio_id, id),
  foreign key (studio_id, movement_id) references movement (studio_id, id)
);
create index piece_by_time on piece (studio_id, poured_at desc);
select make_tenant('piece', 'select, insert, update');

create table piece_photo (
  studio_id uuid not null,
  id uuid not null,
  piece_id uuid not null,
  state text not null check (state in ('wet', 'dry')),
  width integer not null,
  height integer not null,
  image bytea not null check (octet_length(image) < 8000000),
  taken_at timestamptz not null default now(),
  primary key (studio_id, id),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
create index piece_photo_by_piece on piece_photo (studio_id, piece_id, taken_at);
select make_tenant('piece_photo', 'select, insert, delete');
