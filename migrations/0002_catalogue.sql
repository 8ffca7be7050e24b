-- What a studio owns in kind: paints, mediums, water, additives.
create table material (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  kind text not null check (kind in ('paint', 'medium', 'water', 'additive')),
  maker text not null default '' check (char_length(maker) <= 120),
  line text not null default '' check (char_length(line) <= 120),
  name text not null check (char_length(btrim(name)) between 1 and 120),
  density_g_per_ml numeric(6, 4) not null check (density_g_per_ml between 0.5 and 6),
  solids numeric(5, 4) not null check (solids between 0 and 1),
  -- Water the studio itself thinned it with (glue 60 : 40), as a share of its volume.
  water_share numeric(5, 4) not null default 0 check (water_share between 0 and 1),
  container_ul bigint check (container_ul between 1 and 3000000000),
  price_minor bigint check (price_minor between 0 and 100000000),
  notes text not null default '' check (char_length(notes) <= 4000),
  archived_at timestamptz,
  created_at timestamptz not null default now(),
  updated_at timestamptz not null default now(),
  revision integer not null default 1,
  maker_key text generated always as (lower(btrim(maker))) stored,
  line_key text generated always as (lower(btrim(line))) stored,
  name_key text generated always as (lower(btrim(name))) stored,
  primary key (studio_id, id),
  unique (studio_id, kind, maker_key, line_key, name_key)
);
select make_tenant('material', 'select, insert, update');

create table paint (
  studio_id uuid not null,
  material_id uuid not null,
  body text not null check (body in ('ready', 'ink', 'fluid', 'craft', 'soft', 'heavy')),
  opacity text not null check (opacity in ('transparent', 'semi-transparent', 'semi-opaque', 'opaque')),
  sheen text not null
    check (sheen in ('matte', 'satin', 'gloss', 'pearl', 'metallic', 'colour-shift', 'fluorescent', 'glitter')),
  strength text not null default 'normal' check (strength in ('weak', 'normal', 'strong', 'very strong')),
  pigments text[] not null default '{}',
  swatch_hex text not null check (swatch_hex ~ '^#[0-9a-f]{6}$'),
  -- Reflectance of the swatch in 36 bands; reconstructed once, when the swatch is set.
  reflectance real[] not null check (cardinality(reflectance) = 36),
  primary key (studio_id, material_id),
  foreign key (studio_id, material_id) references material (studio_id, id)
);
select make_tenant('paint', 'select, insert, update');

create table medium (
  studio_id uuid not null,
  material_id uuid not null,
  kind text not null,
  primary key (studio_id, material_id),
  foreign key (studio_id, material_id) references material (studio_id, id)
);
select make_tenant('medium', 'select, insert, update');

-- "Avoid as…": a paint the maker does not want in a role, and why.
create table paint_avoid (
  studio_id uuid not null,
  material_id uuid not null,
  role text not null,
  reason text not null default '' check (char_length(reason) <= 400),
  primary key (studio_id, material_id, role),
  foreign key (studio_id, material_id) references paint (studio_id, material_id)
);
select make_tenant('paint_avoid');
