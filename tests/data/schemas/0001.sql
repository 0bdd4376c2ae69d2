pragma application_id = 1315926646;
pragma user_version = 1;
BEGIN TRANSACTION;
CREATE TABLE act (
    id text primary key,
    seq integer not null unique,
    at text not null,
    person_id text not null references person (id),
    job text not null,
    motor_id text,
    digest text not null,
    result_id text not null,
    before_json text not null,
    after_json text not null
) strict;
INSERT INTO "act" VALUES('demo-act-000001',1,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'cde0621289bc926aeac9e793c844696a3f8e38d2f8876f20dd1c0b2ab874e9e0','demo-act-000001','{}','{"name": "Winch motor, four-pole shunt", "new_mm": 32.0, "thickness_mm": 12.5, "width_mm": 25.0, "limit_mm": 14.0, "limit_source": "maker", "commutator_d_mm": 120.0, "bars": 87.0, "poles": 4.0, "grade_family": "electrographite", "grade": "LP-B 214", "rated_v": 220.0, "rated_a": 38.0, "rated_rpm": 1450.0, "holder_gap_mm": 2.2, "position 1": "A at 45\u00b0, arm 1, +", "position 2": "B at 135\u00b0, arm 2, -", "position 3": "C at 225\u00b0, arm 3, +", "position 4": "D at 315\u00b0, arm 4, -"}');
INSERT INTO "act" VALUES('demo-act-000002',2,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'8ad52bd7d48b70b0342daf55af47e875d52085cc02580bdfe2e63d4b611c11e1','demo-act-000002','{}','{"name": "Bench tool motor, universal", "new_mm": 15.0, "thickness_mm": 6.4, "width_mm": 12.5, "limit_mm": 5.5, "limit_source": "maker", "commutator_d_mm": 30.0, "bars": 28.0, "grade_family": "resin-bonded", "grade": "LP-B 031", "rated_v": 230.0, "rated_a": 7.4, "position 1": "A at 90\u00b0, arm 1, +", "position 2": "B at 270\u00b0, arm 2, -"}');
INSERT INTO "act" VALUES('demo-act-000849',849,'2025-09-30T08:10:00','person-1-of-demo','add a motor','demo-act-000849','c0b59fd6b2f7c3acbad061334b3e3a2445f6dd4fa2a9a35eaf92d7395de63771','demo-act-000849','{}','{"tag": "C-01", "name": "Safety-curtain drive", "figures": {"new_mm": 28.0, "instrument": "digital-caliper"}}');
INSERT INTO "act" VALUES('demo-act-000850',850,'2025-10-21T08:01:00','person-2-of-demo','log use','demo-act-000849','85002a68ba5b55de84e64d8a27c7a9a6b3e5811111cbf46f9b95dfd2f29d10e5','demo-act-000850','{"counter": 0.0, "total": 0.0, "day": "2025-09-30"}','{"counter": 2.0, "total": 2.0, "typed": "2", "day": "2025-10-21", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000851',851,'2025-11-11T08:16:00','person-3-of-demo','log use','demo-act-000849','303389519093f49b6e094ea29c2c57504114b583c04bfe7ba5e888ea11334806','demo-act-000851','{"counter": 2.0, "total": 2.0, "day": "2025-10-21"}','{"counter": 4.0, "total": 4.0, "typed": "4", "day": "2025-11-11", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000852',852,'2025-12-02T08:40:00','person-1-of-demo','log use','demo-act-000849','09636a708af7f255e4fc8b2f737c3e54680c9d92e6fbc6f35bf567a52b9f4a52','demo-act-000852','{"counter": 4.0, "total": 4.0, "day": "2025-11-11"}','{"counter": 6.0, "total": 6.0, "typed": "6", "day": "2025-12-02", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000853',853,'2025-12-23T08:37:00','person-1-of-demo','log use','demo-act-000849','30b881ea6f6f1469965ec0c9010541d1564c5d963057eef0efe937fbf97b12bf','demo-act-000853','{"counter": 6.0, "total": 6.0, "day": "2025-12-02"}','{"counter": 8.0, "total": 8.0, "typed": "8", "day": "2025-12-23", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000854',854,'2026-01-13T08:05:00','person-2-of-demo','log use','demo-act-000849','63fcac362c1d165bc256ac3d90fddaf4afd610b2b329929db28c766acb916701','demo-act-000854','{"counter": 8.0, "total": 8.0, "day": "2025-12-23"}','{"counter": 10.0, "total": 10.0, "typed": "10", "day": "2026-01-13", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000855',855,'2026-02-03T08:44:00','person-3-of-demo','log use','demo-act-000849','e75d3333e011e60cf017c7dc108dcf072ecdbb6c36b9b0087ea13550f1e9e193','demo-act-000855','{"counter": 10.0, "total": 10.0, "day": "2026-01-13"}','{"counter": 12.0, "total": 12.0, "typed": "12", "day": "2026-02-03", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000856',856,'2026-02-24T08:26:00','person-3-of-demo','log use','demo-act-000849','05efc91a5ec3e03cfd78ae6bf167a592b432a6990ab864bdab5894f3fa75884e','demo-act-000856','{"counter": 12.0, "total": 12.0, "day": "2026-02-03"}','{"counter": 14.0, "total": 14.0, "typed": "14", "day": "2026-02-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000857',857,'2026-03-17T08:15:00','person-1-of-demo','log use','demo-act-000849','42cd8b38ea189b86605fd004b701b2c3ace937108fc5bd77ca028b94157fadc8','demo-act-000857','{"counter": 14.0, "total": 14.0, "day": "2026-02-24"}','{"counter": 15.0, "total": 15.0, "typed": "15", "day": "2026-03-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000858',858,'2026-04-07T08:11:00','person-2-of-demo','log use','demo-act-000849','a1fb011eaf65ccdf00175c0e8c9fbada2052a3922b57e2bbacb2444aa5ea2d49','demo-act-000858','{"counter": 15.0, "total": 15.0, "day": "2026-03-17"}','{"counter": 17.0, "total": 17.0, "typed": "17", "day": "2026-04-07", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000859',859,'2026-04-28T08:19:00','person-2-of-demo','log use','demo-act-000849','545780e7fa8ec4d1d34d35bac5f5f31c7b7c7defff01a6354531402d6265189d','demo-act-000859','{"counter": 17.0, "total": 17.0, "day": "2026-04-07"}','{"counter": 19.0, "total": 19.0, "typed": "19", "day": "2026-04-28", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000860',860,'2026-05-19T08:45:00','person-3-of-demo','log use','demo-act-000849','af0b669f0d172e415376af42dfaf6d975291e65773e4406085957405544d8925','demo-act-000860','{"counter": 19.0, "total": 19.0, "day": "2026-04-28"}','{"counter": 20.0, "total": 20.0, "typed": "20", "day": "2026-05-19", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000861',861,'2026-06-09T08:17:00','person-1-of-demo','log use','demo-act-000849','4a5bf77c5f3e964724b0e2c59bbb6f9e89e31ca33a78bb569848796bd418b8ef','demo-act-000861','{"counter": 20.0, "total": 20.0, "day": "2026-05-19"}','{"counter": 22.0, "total": 22.0, "typed": "22", "day": "2026-06-09", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000862',862,'2026-06-30T08:02:00','person-1-of-demo','log use','demo-act-000849','26a6145b862c187af5b0e872899afb2fb4c11fc27507271f3941aee7a422da13','demo-act-000862','{"counter": 22.0, "total": 22.0, "day": "2026-06-09"}','{"counter": 24.0, "total": 24.0, "typed": "24", "day": "2026-06-30", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000863',863,'2026-07-21T08:23:00','person-2-of-demo','log use','demo-act-000849','8c95e37d39af98142cab3e7959bbf79d326e876b54116c3dfc3920186bb0fa7b','demo-act-000863','{"counter": 24.0, "total": 24.0, "day": "2026-06-30"}','{"counter": 25.0, "total": 25.0, "typed": "25", "day": "2026-07-21", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000864',864,'2026-08-11T08:35:00','person-3-of-demo','log use','demo-act-000849','0db2b0b33fdd4523cb1231c9517b9f901a41421ab414db64c06ebfb9bb8bb187','demo-act-000864','{"counter": 25.0, "total": 25.0, "day": "2026-07-21"}','{"counter": 28.0, "total": 28.0, "typed": "28", "day": "2026-08-11", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000865',865,'2026-09-01T08:10:00','person-1-of-demo','log use','demo-act-000849','139597b5b1bbdc09f6170d816bd9122a32f24b1e67270e6db102d79a17e3dfe7','demo-act-000865','{"counter": 28.0, "total": 28.0, "day": "2026-08-11"}','{"counter": 30.0, "total": 30.0, "typed": "30", "day": "2026-09-01", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000866',866,'2026-09-22T08:21:00','person-1-of-demo','log use','demo-act-000849','c713e1244bb80be5a7383ae02b7b716706bd90f2d6fe80c8aecf2faf50dc0622','demo-act-000866','{"counter": 30.0, "total": 30.0, "day": "2026-09-01"}','{"counter": 32.0, "total": 32.0, "typed": "32", "day": "2026-09-22", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000867',867,'2026-10-13T08:34:00','person-2-of-demo','log use','demo-act-000849','c14b5fae4cae3aa9fa6229c69003782df71398e5ec5e1cf8110358461eac619d','demo-act-000867','{"counter": 32.0, "total": 32.0, "day": "2026-09-22"}','{"counter": 34.0, "total": 34.0, "typed": "34", "day": "2026-10-13", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000868',868,'2026-10-27T08:31:00','person-2-of-demo','start a round','demo-act-000849','1715b89a9e88dab0fa7ece2a85d4bd1ee27d2e1f8efca18bb5670b25743224da','demo-act-000868','{}','{"set": 1, "kind": "check", "counter": 35.0, "total": 35.0}');
INSERT INTO "act" VALUES('demo-act-000869',869,'2026-10-27T08:33:00','person-2-of-demo','measure','demo-act-000849','15ec030557365d6c86c5d95e2e1bdad579f319e31611fdc3cf560c9eebbe0503','demo-act-000869','{}','{"position": "A", "typed": "26.96", "length_mm": 26.96, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-000870',870,'2026-10-27T08:34:00','person-2-of-demo','measure','demo-act-000849','ce7d09db121005cf6f6a21868a91b0d01784ccb767c36080d99fb121d5a151ba','demo-act-000870','{}','{"position": "B", "typed": "27.02", "length_mm": 27.02, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-000871',871,'2026-10-27T08:35:00','person-2-of-demo','measure','demo-act-000849','a9912ae80661d354b81aae72db69aaa20f47534a1fd900d4ba50800446578c5e','demo-act-000871','{}','{"position": "C", "typed": "27.12", "length_mm": 27.12, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-000872',872,'2026-10-27T08:36:00','person-2-of-demo','measure','demo-act-000849','aab27795d11d62005767ff2c78e935b918f41841f58a655e80d2ae861c6c14cc','demo-act-000872','{}','{"position": "D", "typed": "26.74", "length_mm": 26.74, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-000873',873,'2026-10-27T09:01:00','person-2-of-demo','finish a round','demo-act-000849','148ec107c7ab018af49ad0ba62ab8542838bd28e916b2fa539d9cb4ece3f2dc4','demo-act-000849','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-000874',874,'2026-11-03T08:33:00','person-3-of-demo','log use','demo-act-000849','d7d932a69b4b0453038ac3faeb550d3b5158f10a1127be46fca01398f0d13497','demo-act-000874','{"counter": 35.0, "total": 35.0, "day": "2026-10-27"}','{"counter": 36.0, "total": 36.0, "typed": "36", "day": "2026-11-03", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-000875',875,'2026-11-24T08:20:00','person-3-of-demo','log use','demo-act-000849','059729adb18897215c5b4dfb7f1499d5b6cb03b0c286b889cbb859ac7f60356e','demo-act-000875','{"counter": 36.0, "total": 36.0, "day": "2026-11-03"}','{"counter": 38.0, "total": 38.0, "typed": "38", "day": "2026-11-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002508',2508,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'db6b3ad24a5bc3c32cd8b5b6a49e9ab9a8cb7b744605ec5e92165c901a6bd8b1','fit.clearance-most','{"value": null}','{"value": 0.25, "class": "", "why": "the house keeps brushes tighter after two chipped sets"}');
CREATE TABLE brush_set (
    id text primary key,
    motor_id text not null references motor (id),
    number integer not null check (number >= 1),
    fitted_at text not null,
    fitted_units real not null check (fitted_units >= 0),
    fitted_known integer not null check (fitted_known in (0, 1)),
    ended_at text,
    ended_units real,
    end_reason text,
    act_id text not null references act (id),
    unique (motor_id, number),
    check ((ended_at is null) = (ended_units is null) and (ended_at is null) = (end_reason is null))
) strict;
INSERT INTO "brush_set" VALUES('demo-act-000849.set','demo-act-000849',1,'2025-09-30T08:10:00',0.0,1,NULL,NULL,NULL,'demo-act-000849');
CREATE TABLE finding (
    id text primary key,
    round_id text not null references round (id),
    position_number integer not null check (position_number between 1 and 40),
    seen text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
CREATE TABLE motor (
    id text primary key,
    tag text not null unique collate nocase,
    name text not null,
    place text not null,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    type_id text references motor_type (id),
    version integer not null default 1,
    act_id text not null references act (id)
) strict;
INSERT INTO "motor" VALUES('demo-act-000849','C-01','Safety-curtain drive','grid','industrial',NULL,1,'demo-act-000849');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('demo-act-000849','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-000849','new_mm',28.0,NULL);
CREATE TABLE motor_type (
    id text primary key,
    name text not null unique collate nocase,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    act_id text not null references act (id)
) strict;
INSERT INTO "motor_type" VALUES('demo-act-000001','Winch motor, four-pole shunt','industrial','demo-act-000001');
INSERT INTO "motor_type" VALUES('demo-act-000002','Bench tool motor, universal','tool','demo-act-000002');
CREATE TABLE person (
    id text primary key,
    name text not null unique collate nocase,
    made_at text not null
) strict;
INSERT INTO "person" VALUES('person-1-of-demo','Ines Torvald','2022-09-06T00:00:00');
INSERT INTO "person" VALUES('person-2-of-demo','Bram Aldous','2022-09-06T00:00:00');
INSERT INTO "person" VALUES('person-3-of-demo','Maud Celliers','2022-09-06T00:00:00');
CREATE TABLE position (
    motor_id text not null references motor (id),
    number integer not null check (number between 1 and 40),
    label text not null,
    angle_deg real not null check (angle_deg >= 0 and angle_deg < 360),
    arm integer not null check (arm >= 1),
    polarity text not null check (polarity in ('+', '-')),
    primary key (motor_id, number)
) strict, without rowid;
INSERT INTO "position" VALUES('demo-act-000849',1,'A',45.0,1,'+');
INSERT INTO "position" VALUES('demo-act-000849',2,'B',135.0,2,'-');
INSERT INTO "position" VALUES('demo-act-000849',3,'C',225.0,3,'+');
INSERT INTO "position" VALUES('demo-act-000849',4,'D',315.0,4,'-');
CREATE TABLE reading (
    id text primary key,
    round_id text not null references round (id),
    position_number integer not null check (position_number between 1 and 40),
    typed text not null,
    typed_unit text not null,
    method text not null,
    instrument text not null,
    raw_value real not null,
    length_mm real not null check (length_mm > 0),
    sd_mm real not null check (sd_mm > 0),
    low_mm real not null,
    high_mm real not null,
    lines_seen integer,
    taper_deg real,
    doubt text not null default '',
    doubt_rule text not null default '',
    doubt_answer text not null default '',
    replaced_by text references reading (id),
    act_id text not null references act (id)
) strict;
INSERT INTO "reading" VALUES('demo-act-000869','demo-act-000868',1,'26.96','mm','length','digital-caliper',26.96,26.96,0.05,26.96,26.96,NULL,NULL,'','','',NULL,'demo-act-000869');
INSERT INTO "reading" VALUES('demo-act-000870','demo-act-000868',2,'27.02','mm','length','digital-caliper',27.02,27.02,0.05,27.02,27.02,NULL,NULL,'','','',NULL,'demo-act-000870');
INSERT INTO "reading" VALUES('demo-act-000871','demo-act-000868',3,'27.12','mm','length','digital-caliper',27.12,27.12,0.05,27.12,27.12,NULL,NULL,'','','',NULL,'demo-act-000871');
INSERT INTO "reading" VALUES('demo-act-000872','demo-act-000868',4,'26.74','mm','length','digital-caliper',26.74,26.74,0.05,26.74,26.74,NULL,NULL,'','','',NULL,'demo-act-000872');
CREATE TABLE round (
    id text primary key,
    motor_id text not null references motor (id),
    set_id text not null references brush_set (id),
    kind text not null check (kind in ('check', 'fitting', 'bedded')),
    at text not null,
    seq integer not null,
    total_units real not null check (total_units >= 0),
    finished_at text,
    act_id text not null references act (id)
) strict;
INSERT INTO "round" VALUES('demo-act-000868','demo-act-000849','demo-act-000849.set','check','2026-10-27T08:31:00',1,35.0,'2026-10-27T09:01:00','demo-act-000868');
CREATE TABLE rule_override (
    id text primary key,
    rule_id text not null,
    scope text not null check (scope in ('site', 'class', 'type', 'motor')),
    scope_id text not null,
    value_in_rule_unit real not null,
    why text not null,
    ended_act_id text references act (id),
    act_id text not null references act (id)
) strict;
INSERT INTO "rule_override" VALUES('demo-act-002508','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-002508');
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Lanternmoor Playhouse, engineering shop','2026-11-24','2026-11-28T17:49:23');
CREATE TABLE standing (
    motor_id text primary key references motor (id),
    rules_seq integer not null,
    stage text,
    rank integer not null check (rank between 0 and 9),
    limit_on text,
    look_on text,
    due text not null, -- the limit's day, or a day beyond all others: what lists are ordered by
    left_mm real,
    sentence text not null,
    word text not null,
    flags text not null,
    drawing_json text not null
) strict;
INSERT INTO "standing" VALUES('demo-act-000849',0,'fit',0,'2041-07-04','2034-02-21','2041-07-04',1.74066666666666662881e+01,'Run on. Brush D has 17.4 mm to its limit, 93% of its usable carbon. The limit is reached at about 518 h, around 4 July 2041. Look again by 276 h, 21 February 2034. (A straight line from 1 round, ± 44 h from the readings alone; the limit is an estimate.)','Run on','limit estimated; uneven','{"new_mm": 28.0, "limit_mm": 9.333333333333332, "estimated": true, "unit": "mm", "brushes": [{"label": "A", "length_mm": 26.96, "next_mm": 19.79885714285715, "old": false}, {"label": "B", "length_mm": 27.02, "next_mm": 20.272, "old": false}, {"label": "C", "length_mm": 27.12, "next_mm": 21.060571428571436, "old": false}, {"label": "D", "length_mm": 26.74, "next_mm": 18.063999999999986, "old": false}]}');
CREATE TABLE type_figure (
    type_id text not null references motor_type (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (type_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "type_figure" VALUES('demo-act-000001','bars',87.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','commutator_d_mm',120.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','grade',NULL,'LP-B 214');
INSERT INTO "type_figure" VALUES('demo-act-000001','grade_family',NULL,'electrographite');
INSERT INTO "type_figure" VALUES('demo-act-000001','holder_gap_mm',2.2,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','limit_mm',14.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','limit_source',NULL,'maker');
INSERT INTO "type_figure" VALUES('demo-act-000001','new_mm',32.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','poles',4.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','rated_a',38.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','rated_rpm',1450.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','rated_v',220.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','thickness_mm',12.5,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','width_mm',25.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','bars',28.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','commutator_d_mm',30.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','grade',NULL,'LP-B 031');
INSERT INTO "type_figure" VALUES('demo-act-000002','grade_family',NULL,'resin-bonded');
INSERT INTO "type_figure" VALUES('demo-act-000002','limit_mm',5.5,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','limit_source',NULL,'maker');
INSERT INTO "type_figure" VALUES('demo-act-000002','new_mm',15.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','rated_a',7.4,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','rated_v',230.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','thickness_mm',6.4,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','width_mm',12.5,NULL);
CREATE TABLE type_position (
    type_id text not null references motor_type (id),
    number integer not null check (number between 1 and 40),
    label text not null,
    angle_deg real not null check (angle_deg >= 0 and angle_deg < 360),
    arm integer not null check (arm >= 1),
    polarity text not null check (polarity in ('+', '-')),
    primary key (type_id, number)
) strict, without rowid;
INSERT INTO "type_position" VALUES('demo-act-000001',1,'A',45.0,1,'+');
INSERT INTO "type_position" VALUES('demo-act-000001',2,'B',135.0,2,'-');
INSERT INTO "type_position" VALUES('demo-act-000001',3,'C',225.0,3,'+');
INSERT INTO "type_position" VALUES('demo-act-000001',4,'D',315.0,4,'-');
INSERT INTO "type_position" VALUES('demo-act-000002',1,'A',90.0,1,'+');
INSERT INTO "type_position" VALUES('demo-act-000002',2,'B',270.0,2,'-');
CREATE TABLE use_entry (
    id text primary key,
    motor_id text not null references motor (id),
    seq integer not null,
    at text not null,
    total_units real not null check (total_units >= 0),
    counter_units real not null check (counter_units >= 0),
    typed text not null,
    event text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
INSERT INTO "use_entry" VALUES('demo-act-000849.use','demo-act-000849',1,'2025-09-30T08:10:00',0.0,0.0,'0','first',NULL,'demo-act-000849');
INSERT INTO "use_entry" VALUES('demo-act-000850','demo-act-000849',2,'2025-10-21T08:01:00',2.0,2.0,'2','',NULL,'demo-act-000850');
INSERT INTO "use_entry" VALUES('demo-act-000851','demo-act-000849',3,'2025-11-11T08:16:00',4.0,4.0,'4','',NULL,'demo-act-000851');
INSERT INTO "use_entry" VALUES('demo-act-000852','demo-act-000849',4,'2025-12-02T08:40:00',6.0,6.0,'6','',NULL,'demo-act-000852');
INSERT INTO "use_entry" VALUES('demo-act-000853','demo-act-000849',5,'2025-12-23T08:37:00',8.0,8.0,'8','',NULL,'demo-act-000853');
INSERT INTO "use_entry" VALUES('demo-act-000854','demo-act-000849',6,'2026-01-13T08:05:00',10.0,10.0,'10','',NULL,'demo-act-000854');
INSERT INTO "use_entry" VALUES('demo-act-000855','demo-act-000849',7,'2026-02-03T08:44:00',12.0,12.0,'12','',NULL,'demo-act-000855');
INSERT INTO "use_entry" VALUES('demo-act-000856','demo-act-000849',8,'2026-02-24T08:26:00',14.0,14.0,'14','',NULL,'demo-act-000856');
INSERT INTO "use_entry" VALUES('demo-act-000857','demo-act-000849',9,'2026-03-17T08:15:00',15.0,15.0,'15','',NULL,'demo-act-000857');
INSERT INTO "use_entry" VALUES('demo-act-000858','demo-act-000849',10,'2026-04-07T08:11:00',17.0,17.0,'17','',NULL,'demo-act-000858');
INSERT INTO "use_entry" VALUES('demo-act-000859','demo-act-000849',11,'2026-04-28T08:19:00',19.0,19.0,'19','',NULL,'demo-act-000859');
INSERT INTO "use_entry" VALUES('demo-act-000860','demo-act-000849',12,'2026-05-19T08:45:00',20.0,20.0,'20','',NULL,'demo-act-000860');
INSERT INTO "use_entry" VALUES('demo-act-000861','demo-act-000849',13,'2026-06-09T08:17:00',22.0,22.0,'22','',NULL,'demo-act-000861');
INSERT INTO "use_entry" VALUES('demo-act-000862','demo-act-000849',14,'2026-06-30T08:02:00',24.0,24.0,'24','',NULL,'demo-act-000862');
INSERT INTO "use_entry" VALUES('demo-act-000863','demo-act-000849',15,'2026-07-21T08:23:00',25.0,25.0,'25','',NULL,'demo-act-000863');
INSERT INTO "use_entry" VALUES('demo-act-000864','demo-act-000849',16,'2026-08-11T08:35:00',28.0,28.0,'28','',NULL,'demo-act-000864');
INSERT INTO "use_entry" VALUES('demo-act-000865','demo-act-000849',17,'2026-09-01T08:10:00',30.0,30.0,'30','',NULL,'demo-act-000865');
INSERT INTO "use_entry" VALUES('demo-act-000866','demo-act-000849',18,'2026-09-22T08:21:00',32.0,32.0,'32','',NULL,'demo-act-000866');
INSERT INTO "use_entry" VALUES('demo-act-000867','demo-act-000849',19,'2026-10-13T08:34:00',34.0,34.0,'34','',NULL,'demo-act-000867');
INSERT INTO "use_entry" VALUES('demo-act-000868.use','demo-act-000849',20,'2026-10-27T08:31:00',35.0,35.0,'35','',NULL,'demo-act-000868');
INSERT INTO "use_entry" VALUES('demo-act-000874','demo-act-000849',21,'2026-11-03T08:33:00',36.0,36.0,'36','',NULL,'demo-act-000874');
INSERT INTO "use_entry" VALUES('demo-act-000875','demo-act-000849',22,'2026-11-24T08:20:00',38.0,38.0,'38','',NULL,'demo-act-000875');
CREATE INDEX act_by_motor on act (motor_id, seq);
CREATE INDEX act_by_job on act (job, seq);
CREATE INDEX motor_by_type on motor (type_id);
CREATE INDEX use_entry_by_motor on use_entry (motor_id, at, seq);
CREATE INDEX round_by_motor on round (motor_id, at, seq);
CREATE UNIQUE INDEX round_open on round (motor_id) where finished_at is null;
CREATE UNIQUE INDEX reading_now on reading (round_id, position_number) where replaced_by is null;
CREATE UNIQUE INDEX finding_now on finding (round_id, position_number, seen) where struck_act_id is null;
CREATE UNIQUE INDEX rule_override_now on rule_override (rule_id, scope, scope_id) where ended_act_id is null;
CREATE INDEX standing_order on standing (rank, due, look_on, motor_id);
CREATE INDEX standing_rules on standing (rules_seq);
COMMIT;
