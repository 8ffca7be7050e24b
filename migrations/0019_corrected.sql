-- How paint of a technique really ran, as its weighed pieces say, beside how its bottles read.
create table tilt_correction (
  studio_id uuid not null references studio (studio_id),
  technique text not null check (char_length(technique) between 1 and 80),
  nu_factor double precision not null check (nu_factor between 0.25 and 4),
  lip_mm double precision not null check (lip_mm between 0.5 and 5),
  pieces integer not null check (pieces between 3 and 100),
  made_at timestamptz not null default now(),
  primary key (studio_id, technique)
);
select make_tenant('tilt_correction');
