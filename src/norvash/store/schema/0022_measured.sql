-- What was measured at a visit, as it was judged when its sheet was signed: every value once in each sight. Sheets that
-- were signed before have none, and none are made for them.
create table measured (
  sheet_id text not null references sheet (id),
  n integer not null,
  stage text not null,
  id text not null,
  spot integer not null,
  sight text not null,
  what text not null,
  said text not null,
  value_in_unit real,
  unit text not null,
  low_in_unit real,
  high_in_unit real,
  basis text not null,
  standing text not null,
  grade text,
  words text not null,
  by_name text not null,
  at text,
  rest_json text not null,
  primary key (sheet_id, n)
) strict, without rowid;
