-- Everything known about a paint, and how it is found, bought and replaced.

-- Checks of new foreign keys read tables through their policies; a migration stands in no studio.
select set_config('app.studio_id', '00000000-0000-0000-0000-000000000000', true);

-- Typed search forgives typos by word similarity. The extension is a trusted one: the owner may create it.
create extension if not exists pg_trgm;

alter table material
  add column supplier text not null default '' check (char_length(supplier) <= 120),
  add column barcode text not null default '' check (char_length(barcode) <= 60),
  add column tags text[] not null default '{}' check (cardinality(tags) <= 20),
  -- Below this much in counted containers the material is low.
  add column low_ul bigint check (low_ul between 1 and 3000000000),
  add column discontinued_at timestamptz,
  -- What kind of thinner a water is; null for everything else.
  add column thinner text check (thinner in ('tap', 'purified', 'distilled', 'thinning mix'));

alter table paint
  add column contrast_ratio numeric(5, 4) check (contrast_ratio between 0 and 1),
  add column sheen_strength smallint not null default 2 check (sheen_strength between 1 and 3),
  add column tint_hex text check (tint_hex ~ '^#[0-9a-f]{6}$'),
  -- Share of white in the tint, by volume.
  add column tint_white_share numeric(5, 4) check (tint_white_share > 0 and tint_white_share < 1),
  add column wet_hex text check (wet_hex ~ '^#[0-9a-f]{6}$'),
  add column lightfastness text not null default '' check (lightfastness in ('', 'I', 'II', 'III', 'IV', 'V'));

-- Ten effects from 0 to 3, in the order of the core's list; null: the usual ones of its kind.
alter table medium add column effects real[] check (cardinality(effects) = 10);

-- "Avoid as…" and "good only as…", with the reason.
alter table paint_avoid rename to paint_flag;
alter table paint_flag add column rule text not null default 'avoid' check (rule in ('avoid', 'only'));

-- Rows written before this: readable by the owner while row-level security is not forced on it.
alter table material no force row level security;
update material set thinner = case when name_key like 'tap%' then 'tap' else 'distilled' end where kind = 'water';
alter table material force row level security;

-- What can be used in place of a paint, by the maker's own word.
create table paint_substitute (
  studio_id uuid not null,
  material_id uuid not null,
  other_id uuid not null,
  primary key (studio_id, material_id, other_id),
  foreign key (studio_id, material_id) references paint (studio_id, material_id),
  foreign key (studio_id, other_id) references paint (studio_id, material_id),
  check (material_id <> other_id)
);
select make_tenant('paint_substitute');

-- The formula that stands in for a discontinued paint.
create table paint_stand_in (
  studio_id uuid not null,
  material_id uuid not null,
  paint_id uuid not null,
  parts numeric(10, 4) not null check (parts > 0),
  primary key (studio_id, material_id, paint_id),
  foreign key (studio_id, material_id) references paint (studio_id, material_id),
  foreign key (studio_id, paint_id) references paint (studio_id, material_id),
  check (material_id <> paint_id)
);
select make_tenant('paint_stand_in');

-- The maker's own word on two paints together; outranks any computed warning. One row a pair, smaller id first.
create table pair_note (
  studio_id uuid not null,
  a_id uuid not null,
  b_id uuid not null,
  verdict text not null check (verdict in ('together', 'never', 'surprising')),
  note text not null default '' check (char_length(note) <= 400),
  at timestamptz not null default now(),
  primary key (studio_id, a_id, b_id),
  foreign key (studio_id, a_id) references paint (studio_id, material_id),
  foreign key (studio_id, b_id) references paint (studio_id, material_id),
  check (a_id < b_id)
);
select make_tenant('pair_note');

-- Who changed what of a material, and when: written once, never changed.
create table material_change (
  studio_id uuid not null,
  id uuid not null,
  material_id uuid not null,
  revision integer not null,
  at timestamptz not null default now(),
  by uuid references account (id),
  -- What it was (null: it was new) and what it became, as the form sends it.
  before jsonb,
  after jsonb not null,
  primary key (studio_id, id),
  unique (studio_id, material_id, revision),
  foreign key (studio_id, material_id) references material (studio_id, id)
);
select make_tenant('material_change', 'select, insert');

-- Sizes and prices a material is or was sold at; list prices and what is taken off them.
create table offer (
  studio_id uuid not null,
  id uuid not null,
  material_id uuid not null,
  supplier text not null default '' check (char_length(supplier) <= 120),
  size_ul bigint not null check (size_ul between 1 and 3000000000),
  list_minor bigint not null check (list_minor between 0 and 100000000),
  terms jsonb not null,
  starts_on date not null,
  ends_on date,
  created_at timestamptz not null default now(),
  primary key (studio_id, id),
  foreign key (studio_id, material_id) references material (studio_id, id),
  check (ends_on is null or ends_on >= starts_on)
);
create index offer_by_material on offer (studio_id, material_id, starts_on);
select make_tenant('offer');

-- A container's own life: bought (opened_at of the lot), unsealed, finished. What a finished one still holds is residue.
-- The container a tracked lot was bought in is kept with it, so that what is on hand is one look per lot.
alter table lot add column unsealed_at timestamptz, add column finished_at timestamptz, add column container_id uuid,
  add foreign key (studio_id, container_id) references vessel (studio_id, id);
alter table lot no force row level security;
alter table vessel no force row level security;
alter table vessel_content no force row level security;
update lot l set container_id = c.vessel_id
  from vessel_content c join vessel v on v.studio_id = c.studio_id and v.id = c.vessel_id and v.kind = 'container'
  where c.studio_id = l.studio_id and c.lot_id = l.id and l.tracked;
alter table lot force row level security;
alter table vessel force row level security;
alter table vessel_content force row level security;
alter table movement drop constraint movement_kind_check;
alter table movement add constraint movement_kind_check
  check (kind in ('purchase', 'mix', 'top-up', 'pour', 'take-out', 'discard', 'weigh-in', 'finish', 'undo'));

-- What a material has been mixed into, by role; kept by the ledger when it books a mix.
create table material_use (
  studio_id uuid not null,
  material_id uuid not null,
  role text not null,
  last_at timestamptz not null,
  bottles integer not null check (bottles >= 0),
  primary key (studio_id, material_id, role),
  foreign key (studio_id, material_id) references material (studio_id, id)
);
select make_tenant('material_use');

-- Surfaces on the shelf, and how they came and went.
create table surface_stock (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  kind text not null,
  name text not null check (char_length(btrim(name)) between 1 and 120),
  shape text not null check (shape in ('rectangle', 'round')),
  length_mm numeric(8, 2) not null default 0,
  width_mm numeric(8, 2) not null default 0,
  diameter_mm numeric(8, 2) not null default 0,
  edge_mm numeric(8, 2) not null default 0,
  grade text not null check (grade in ('practice', 'sale')),
  archived_at timestamptz,
  created_at timestamptz not null default now(),
  primary key (studio_id, id)
);
select make_tenant('surface_stock', 'select, insert, update');

create table surface_move (
  studio_id uuid not null,
  id uuid not null,
  request_id uuid not null,
  surface_id uuid not null,
  -- Above zero: a pack bought. Below: used or broken.
  count integer not null check (count <> 0 and abs(count) <= 10000),
  price_minor bigint check (price_minor between 0 and 100000000),
  at timestamptz not null default now(),
  by uuid references account (id),
  note text not null default '' check (char_length(note) <= 400),
  primary key (studio_id, id),
  unique (studio_id, request_id),
  foreign key (studio_id, surface_id) references surface_stock (studio_id, id)
);
create index surface_move_by_surface on surface_move (studio_id, surface_id);
select make_tenant('surface_move', 'select, insert');

-- A plan may take its surface from the shelf: a pour then books it out.
alter table plan add column surface_stock_id uuid,
  add foreign key (studio_id, surface_stock_id) references surface_stock (studio_id, id);

-- Words the catalogue is written with, folded: a typed word that is in none of them is taken for the nearest. Words that
-- are not used any more stay; what they lead to is then simply not found.
create table search_word (
  studio_id uuid not null references studio (studio_id),
  word text not null check (char_length(word) between 3 and 40),
  primary key (studio_id, word)
);
select make_tenant('search_word', 'select, insert');
alter table material no force row level security;
alter table paint no force row level security;
alter table search_word no force row level security;
insert into search_word (studio_id, word)
  select distinct studio_id, word from (
    select m.studio_id, regexp_split_to_table(
      lower(concat_ws(' ', m.maker, m.line, m.name, array_to_string(p.pigments, ' '))), '\s+') as word
    from material m join paint p on p.studio_id = m.studio_id and p.material_id = m.id
  ) as w where char_length(word) between 3 and 40 and word !~ '^[0-9.,]+$';
alter table material force row level security;
alter table paint force row level security;
alter table search_word force row level security;

-- Which column of a foreign list is which of ours, by the list's headings.
create table import_mapping (
  studio_id uuid not null references studio (studio_id),
  header_key text not null check (char_length(header_key) <= 4000),
  mapping jsonb not null,
  primary key (studio_id, header_key)
);
select make_tenant('import_mapping');

-- Counts every change of the catalogue, so that a server may keep a studio's catalogue in memory and know when it is old.
create table catalogue_version (
  studio_id uuid not null references studio (studio_id),
  n bigint not null,
  primary key (studio_id)
);
select make_tenant('catalogue_version', 'select, insert, update');

create function bump_catalogue() returns trigger language plpgsql as $$
begin
  insert into catalogue_version as v (studio_id, n) values (current_setting('app.studio_id')::uuid, 1)
  on conflict (studio_id) do update set n = v.n + 1;
  return null;
end $$;
create trigger bump after insert or update or delete on material for each statement execute function bump_catalogue();
create trigger bump after insert or update or delete on paint for each statement execute function bump_catalogue();
create trigger bump after insert or update or delete on medium for each statement execute function bump_catalogue();
create trigger bump after insert or update or delete on paint_flag for each statement execute function bump_catalogue();
