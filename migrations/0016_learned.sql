-- What the studio knows by now: trials, its own words on how it works, lots that are bad, and how a paint pours.

-- One question, one thing changed. Arms are told by what is different; repeats are poured alike but for it.
create table trial (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  question text not null check (char_length(btrim(question)) between 1 and 200),
  made_as text not null check (made_as in ('cards', 'panels', 'pieces')),
  constants text not null default '' check (char_length(constants) <= 1000),
  -- What is looked at: names of criteria 0 to 3, or keys of what is rated or measured.
  criteria text[] not null check (cardinality(criteria) between 1 and 8),
  is_blind boolean not null default false,
  begun_at timestamptz not null default now(),
  by uuid references account (id),
  ended_at timestamptz,
  said text not null default '' check (char_length(said) <= 1000),
  revision integer not null default 1,
  primary key (studio_id, id)
);
create index trial_by_time on trial (studio_id, begun_at desc);
select make_tenant('trial', 'select, insert, update');

create table trial_arm (
  studio_id uuid not null,
  trial_id uuid not null,
  arm smallint not null check (arm between 1 and 8),
  what text not null check (char_length(btrim(what)) between 1 and 120),
  -- The material that is different, where it is one.
  material_id uuid,
  primary key (studio_id, trial_id, arm),
  foreign key (studio_id, trial_id) references trial (studio_id, id),
  foreign key (studio_id, material_id) references material (studio_id, id)
);
select make_tenant('trial_arm', 'select, insert');

-- A piece that stands for an arm in a repeat; cards and panels that hang on no wall need none.
create table trial_piece (
  studio_id uuid not null,
  trial_id uuid not null,
  arm smallint not null,
  repeat smallint not null check (repeat between 1 and 60),
  piece_id uuid not null,
  primary key (studio_id, trial_id, arm, repeat),
  unique (studio_id, trial_id, piece_id),
  foreign key (studio_id, trial_id, arm) references trial_arm (studio_id, trial_id, arm),
  foreign key (studio_id, piece_id) references piece (studio_id, id)
);
select make_tenant('trial_piece', 'select, insert, delete');

-- What one person says of one arm in one repeat by one criterion.
create table trial_word (
  studio_id uuid not null,
  trial_id uuid not null,
  arm smallint not null,
  repeat smallint not null check (repeat between 1 and 60),
  criterion text not null check (char_length(criterion) between 1 and 60),
  who text not null check (char_length(btrim(who)) between 1 and 60),
  value real not null check (value between 0 and 5),
  at timestamptz not null default now(),
  primary key (studio_id, trial_id, arm, repeat, criterion, who),
  foreign key (studio_id, trial_id, arm) references trial_arm (studio_id, trial_id, arm)
);
select make_tenant('trial_word', 'select, insert, update, delete');

-- What was written back from a trial or a trace, so that it can be seen where it came from.
create table house_word (
  studio_id uuid not null references studio (studio_id),
  id uuid not null,
  words text not null check (char_length(btrim(words)) between 1 and 400),
  technique text,
  trial_id uuid,
  said_at timestamptz not null default now(),
  by uuid references account (id),
  dropped_at timestamptz,
  primary key (studio_id, id),
  foreign key (studio_id, trial_id) references trial (studio_id, id)
);
select make_tenant('house_word', 'select, insert, update');

alter table lot add column flag text not null default '' check (char_length(flag) <= 400);

-- How a paint pours, as the maker of the mixes knows it; grade '' is not said.
alter table paint
  add column cells text not null default '' check (cells in ('', 'by itself', 'with silicone', 'none')),
  add column dry_shine text not null default '' check (dry_shine in ('', 'matte', 'satin', 'glossy')),
  add column shows_beneath text not null default '' check (shows_beneath in ('', 'yes', 'a little', 'no')),
  add column grade text not null default '' check (grade in ('', 'artist', 'student', 'craft'));
