-- Colours that repeat: what was measured of paints, named formulas with their versions, and large batches.

select set_config('app.studio_id', '00000000-0000-0000-0000-000000000000', true);

alter table paint
  -- Painted out with black, beside the tint in white; share of black by volume.
  add column shade_hex text check (shade_hex ~ '^#[0-9a-f]{6}$'),
  add column shade_black_share numeric(5, 4) check (shade_black_share > 0 and shade_black_share < 1),
  -- Spectra as read, 36 bands each: masstone, tint, shade. One holds while its swatch is the colour that was read.
  add column readings jsonb not null default '{"masstone": null, "tint": null, "shade": null}',
  -- K and S in 36 bands, 72 little-endian 32-bit floats as base64; null until computed.
  add column optics text check (char_length(optics) = 384),
  -- Standard deviation of the logarithm of its strength; what has been measured of it; how many mixes speak of it, and
  -- their mean ΔE00 as measured and as computed.
  add column optics_sigma real check (optics_sigma > 0),
  add column optics_known text check (optics_known in ('masstone', 'tint', 'shade', 'tint and shade', 'mixes')),
  add column optics_mixes integer not null default 0,
  add column optics_fit real;

-- A named custom colour; its versions are never changed, only followed by others.
create table formula (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  name text not null check (char_length(btrim(name)) between 1 and 120),
  notes text not null default '' check (char_length(notes) <= 4000),
  -- The paint it can stand in for.
  stands_in_for uuid,
  archived_at timestamptz,
  created_at timestamptz not null default now(),
  name_key text generated always as (lower(btrim(name))) stored,
  primary key (studio_id, id),
  foreign key (studio_id, stands_in_for) references paint (studio_id, material_id)
);
create unique index formula_by_name on formula (studio_id, name_key) where archived_at is null;
select make_tenant('formula', 'select, insert, update');

create table formula_version (
  studio_id uuid not null,
  formula_id uuid not null,
  version integer not null check (version > 0),
  request_id uuid not null,
  at timestamptz not null default now(),
  by uuid references account (id),
  note text not null default '' check (char_length(note) <= 1000),
  -- The colour it was made for, where there was one.
  target_hex text check (target_hex ~ '^#[0-9a-f]{6}$'),
  -- Painted out and dry: as read or typed. A measured mix, from which its paints are calibrated.
  dry_hex text check (dry_hex ~ '^#[0-9a-f]{6}$'),
  dry_reflectance real[] check (cardinality(dry_reflectance) = 36),
  wet_hex text check (wet_hex ~ '^#[0-9a-f]{6}$'),
  -- What carried it when it was seen wet and dry; null and 0: paint alone.
  medium_kind text,
  medium_share numeric(5, 4) not null default 0 check (medium_share >= 0 and medium_share < 1),
  primary key (studio_id, formula_id, version),
  unique (studio_id, request_id),
  foreign key (studio_id, formula_id) references formula (studio_id, id)
);
select make_tenant('formula_version', 'select, insert, update');

create table formula_part (
  studio_id uuid not null,
  formula_id uuid not null,
  version integer not null,
  paint_id uuid not null,
  parts numeric(10, 4) not null check (parts > 0),
  primary key (studio_id, formula_id, version, paint_id),
  foreign key (studio_id, formula_id, version) references formula_version (studio_id, formula_id, version),
  foreign key (studio_id, paint_id) references paint (studio_id, material_id)
);
create index formula_part_by_paint on formula_part (studio_id, paint_id);
select make_tenant('formula_part', 'select, insert');

-- Which version of which formula a bottle was mixed by.
alter table bottle
  add column formula_id uuid,
  add column formula_version integer,
  add foreign key (studio_id, formula_id, formula_version) references formula_version (studio_id, formula_id, version);
create index bottle_by_formula on bottle (studio_id, formula_id) where formula_id is not null;

-- A colour mixed large, in several containers: where it stands, as the card is checked off.
create table batch (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  title text not null check (char_length(btrim(title)) between 1 and 120),
  formula_id uuid not null,
  formula_version integer not null,
  -- As src/stations/formulas/batch/schema.ts describes it.
  state jsonb not null,
  revision integer not null default 1,
  created_at timestamptz not null default now(),
  done_at timestamptz,
  primary key (studio_id, id),
  foreign key (studio_id, formula_id, formula_version) references formula_version (studio_id, formula_id, version)
);
create index batch_by_time on batch (studio_id, created_at desc);
select make_tenant('batch', 'select, insert, update');
