-- Works, and plans with several surfaces, cups, layers and coats. What a plan decides is one document (its shape:
-- src/core/plan/design.ts); what it takes of which bottle is kept beside it in rows, because every other plan asks.

-- What belongs together: a practice, a series, a commission, a gift, a show.
create table work (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  kind text not null check (kind in ('practice', 'series', 'commission', 'gift', 'show')),
  title text not null check (char_length(btrim(title)) between 1 and 120),
  due_on date,
  -- A label somebody made up; no address book.
  for_whom text not null default '' check (char_length(for_whom) <= 120),
  agreed_on date,
  agreed_text text not null default '' check (char_length(agreed_text) <= 2000),
  price_minor bigint check (price_minor between 0 and 100000000),
  notes text not null default '' check (char_length(notes) <= 4000),
  revision integer not null default 1,
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  archived_at timestamptz,
  primary key (studio_id, id)
);
create index work_by_due on work (studio_id, due_on);
select make_tenant('work', 'select, insert, update');

-- The room: what it has of cups and level places, its days and its air.
create table room (
  studio_id uuid not null references studio (studio_id),
  -- 1 Monday … 7 Sunday.
  closed_weekdays smallint[] not null default '{}',
  celsius real not null default 20 check (celsius between -20 and 60),
  humidity real not null default 0.5 check (humidity between 0 and 1),
  primary key (studio_id)
);
select make_tenant('room', 'select, insert, update');

create table cup_size (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  name text not null check (char_length(btrim(name)) between 1 and 60),
  size_ul bigint not null check (size_ul between 1000 and 20000000),
  archived_at timestamptz,
  primary key (studio_id, id)
);
select make_tenant('cup_size', 'select, insert, update');

create table drying_place (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  name text not null check (char_length(btrim(name)) between 1 and 60),
  length_mm double precision not null check (length_mm > 0 and length_mm <= 20000),
  width_mm double precision not null check (width_mm > 0 and width_mm <= 20000),
  spots integer not null check (spots between 1 and 500),
  archived_at timestamptz,
  primary key (studio_id, id)
);
select make_tenant('drying_place', 'select, insert, update');

-- Techniques of the studio's own, copied from those that ship with Fika and edited.
create table technique_own (
  studio_id uuid not null references studio (studio_id),
  key text not null check (key ~ '^own-[0-9a-f-]{36}$'),
  -- As src/core/technique/technique.ts describes it.
  body jsonb not null,
  archived_at timestamptz,
  primary key (studio_id, key)
);
select make_tenant('technique_own', 'select, insert, update');

-- Rows of every studio are read and rewritten.
alter table plan no force row level security;
alter table plan_part no force row level security;
alter table bottle no force row level security;
alter table formula no force row level security;
alter table recipe no force row level security;
alter table surface_move no force row level security;
alter table piece no force row level security;

alter table plan
  add column work_id uuid,
  add column kind text not null default 'final' check (kind in ('sketch', 'test', 'final')),
  add column pour_on date,
  -- What it was scaled up from or poured again after.
  add column after_plan_id uuid,
  add column after_piece_id uuid,
  add column carried_note text not null default '' check (char_length(carried_note) <= 4000),
  add column design jsonb,
  add column revision integer not null default 1;

-- Plans so far had one surface, one cup by parts and what was planned apart. Ids are made as the app makes them (UUIDv7).
with carried as (
  select p.studio_id, p.id, jsonb_build_object(
    'surfaces', jsonb_build_array(jsonb_build_object(
      'id', overlay(gen_random_uuid()::text placing '7' from 15), 'name', '', 'surface', p.surface, 'cover', 1, 'free', null, 'split', null, 'feeds', null,
      'stockId', p.surface_stock_id,
      -- The price was that of all pieces; what does not divide by them stands under disposables below.
      'eachMinor', p.surface_cost_minor / greatest(1, (p.surface ->> 'count')::int))),
    'school', p.coverage,
    'rounding', 'exact',
    'cups', case when exists (select from plan_part c where c.studio_id = p.studio_id and c.plan_id = p.id and c.use = 'cup')
      then jsonb_build_array(jsonb_build_object(
        'id', overlay(gen_random_uuid()::text placing '7' from 15), 'kind', 'poured out', 'on', null, 'sizeUl', null, 'copies', 1, 'ul', null,
        'at', jsonb_build_array(0, 0), 'turnDeg', 0, 'path', '[]'::jsonb,
        'layers', (select jsonb_agg(jsonb_build_object(
            'id', overlay(gen_random_uuid()::text placing '7' from 15), 'of', jsonb_build_object('kind', 'bottle', 'id', c.vessel_id),
            'share', c.parts, 'ul', null, 'how', 'side') order by c.line_no)
          from plan_part c where c.studio_id = p.studio_id and c.plan_id = p.id and c.use = 'cup')))
      else '[]'::jsonb end,
    'coats', coalesce((select jsonb_agg(jsonb_build_object(
        'id', overlay(gen_random_uuid()::text placing '7' from 15), 'role', c.use, 'of', jsonb_build_object('kind', 'bottle', 'id', c.vessel_id),
        'on', null, 'half', null, 'share', 1, 'wetMm', 0.25, 'ul', c.ul, 'path', '[]'::jsonb) order by c.line_no)
      from plan_part c where c.studio_id = p.studio_id and c.plan_id = p.id and c.use <> 'cup'), '[]'::jsonb),
    'look', 'as usual', 'finish', 'none', 'accents', false,
    'finishMinor', 0,
    'disposablesMinor', p.surface_cost_minor - (p.surface_cost_minor / greatest(1, (p.surface ->> 'count')::int)) * greatest(1, (p.surface ->> 'count')::int),
    'savedShare', 0, 'hours', '{}'::jsonb, 'done', '[]'::jsonb
  ) as design
  from plan p
)
update plan p set design = c.design from carried c where c.studio_id = p.studio_id and c.id = p.id;

alter table plan
  alter column design set not null,
  drop column surface,
  drop column coverage,
  drop column surface_cost_minor,
  drop column surface_stock_id,
  add constraint plan_of_work foreign key (studio_id, work_id) references work (studio_id, id),
  add constraint plan_after_plan foreign key (studio_id, after_plan_id) references plan (studio_id, id),
  add constraint plan_after_piece foreign key (studio_id, after_piece_id) references piece (studio_id, id);
create index plan_by_work on plan (studio_id, work_id);
create index plan_open on plan (studio_id, pour_on) where poured_at is null and archived_at is null;

alter table plan_part
  add column formula_id uuid,
  add column recipe_id uuid,
  alter column vessel_id drop not null,
  drop column parts,
  drop constraint plan_part_use_check,
  add constraint plan_part_use_check check (use in ('cup', 'sides', 'cushion', 'base coat', 'slip coat', 'lead-in', 'swipe', 'pearl base', 'top', 'reserve')),
  add constraint plan_part_of_one check (num_nonnulls(vessel_id, formula_id, recipe_id) = 1),
  add constraint plan_part_of_formula foreign key (studio_id, formula_id) references formula (studio_id, id),
  add constraint plan_part_of_recipe foreign key (studio_id, recipe_id) references recipe (studio_id, id);

-- What the maker would do another time; the next plan after this piece carries it along.
alter table piece add column next_time text not null default '' check (char_length(next_time) <= 400);

-- One pour takes surfaces of several kinds off the shelf.
alter table surface_move
  drop constraint surface_move_studio_id_request_id_key,
  add constraint surface_move_once unique (studio_id, request_id, surface_id);

alter table plan force row level security;
alter table plan_part force row level security;
alter table bottle force row level security;
alter table formula force row level security;
alter table recipe force row level security;
alter table surface_move force row level security;
alter table piece force row level security;
