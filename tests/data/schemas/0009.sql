pragma application_id = 1315926646;
pragma user_version = 9;
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
, played_by text references person (id)) strict;
INSERT INTO "act" VALUES('demo-act-000001',1,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'4b6e753d553839d6d3e58738bbf05bfe6bceaf164cd59591f02452d54766d882','demo-act-000001','{}','{"name": "Winch motor, four-pole shunt", "new_mm": 32.0, "thickness_mm": 12.5, "width_mm": 25.0, "limit_mm": 14.0, "limit_source": "maker", "commutator_d_mm": 120.0, "commutator_d_min_mm": 115.0, "track_mm": 58.0, "slot_width_mm": 0.95, "undercut_mm": 1.1, "bars": 87.0, "poles": 4.0, "armature_slots": 29.0, "winding": "wave", "end_float_low_mm": 0.1, "end_float_high_mm": 0.4, "bearing_drive": "6310-2Z", "bearing_other": "6308-2Z", "grade_family": "electrographite", "grade": "LP-B 214", "expected_life_units": 2600.0, "mass_kg": 148.0, "force_nominal_n": 8.4, "rated_v": 220.0, "rated_a": 38.0, "rated_rpm": 1450.0, "holder_gap_mm": 2.2, "construction": "shunt", "hangs_load": "yes", "position 1": "A at 45\u00b0, arm 1, +", "position 2": "B at 135\u00b0, arm 2, -", "position 3": "C at 225\u00b0, arm 3, +", "position 4": "D at 315\u00b0, arm 4, -"}',NULL);
INSERT INTO "act" VALUES('demo-act-000002',2,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'93f3c8f2c7f53790868d0ce8fb9d42e5b9953b2a8ab7461a188085469ae14420','demo-act-000002','{}','{"name": "Bench tool motor, universal", "new_mm": 15.0, "thickness_mm": 6.4, "width_mm": 12.5, "limit_mm": 5.5, "limit_source": "maker", "commutator_d_mm": 30.0, "bars": 28.0, "grade_family": "resin-bonded", "grade": "LP-B 031", "rated_v": 230.0, "rated_a": 7.4, "expected_life_units": 340.0, "construction": "universal", "position 1": "A at 90\u00b0, arm 1, +", "position 2": "B at 270\u00b0, arm 2, -"}',NULL);
INSERT INTO "act" VALUES('demo-act-002956',2956,'2025-05-13T08:14:00','person-3-of-demo','add a motor','demo-act-002956','696e8b183077ee06a7546f43a6eee894e19c45c939e7f101aa2afd40f5a25483','demo-act-002956','{}','{"tag": "A-10", "name": "Haze fan", "figures": {"thickness_mm": 6.3, "width_mm": 11.0, "new_mm": 24.0, "expected_life_units": 1200.0, "instrument": "digital-caliper", "limit_mm": 9.0, "grade_family": "resin-bonded", "limit_source": "maker"}}',NULL);
INSERT INTO "act" VALUES('demo-act-002957',2957,'2025-06-17T08:46:00','person-1-of-demo','log use','demo-act-002956','6f406fe764839eeee1bbfb50af0813ede411247d98129258bc51a5a14000b1d3','demo-act-002957','{"counter": 0.0, "total": 0.0, "day": "2025-05-13"}','{"counter": 51.0, "total": 51.0, "typed": "51", "day": "2025-06-17", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002958',2958,'2025-07-22T08:26:00','person-2-of-demo','log use','demo-act-002956','a12e7a5dcd14405f2cec71e266d23155983838ccead302b1b78980d0b9206149','demo-act-002958','{"counter": 51.0, "total": 51.0, "day": "2025-06-17"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-07-22", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002959',2959,'2025-08-05T08:19:00','person-3-of-demo','open a sheet','demo-act-002956','2c75d66f211af12af0d86918b05f6f072ffcec6dd476b2514fbe6d4de95703c8','demo-act-002959','{}','{"set": 1, "kind": "check", "counter": 71.0, "total": 71.0, "sheet": 1, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002960',2960,'2025-08-05T08:21:00','person-3-of-demo','measure','demo-act-002956','139bf37fbd9283424fe89f9d38fb59db956c29f62603bf2a5401234b884207c7','demo-act-002960','{}','{"position": "A", "typed": "22.77", "length_mm": 22.77, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002961',2961,'2025-08-05T08:22:00','person-3-of-demo','measure','demo-act-002956','4d5d5853ae0aebb4081dc0e51ec6b8c119fce96cb98ab16dfac267d7bd6fae54','demo-act-002961','{}','{"position": "B", "typed": "22.8", "length_mm": 22.8, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002962',2962,'2025-08-05T08:49:00','person-3-of-demo','sign a sheet','demo-act-002956','f4c5c99d0921a1d38a649a621eb082040f0466244fdf5c07c48589297edd8eda','demo-act-002956','{}','{"sheet": 1, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002963',2963,'2025-08-26T08:07:00','person-3-of-demo','log use','demo-act-002956','a12e7a5dcd14405f2cec71e266d23155983838ccead302b1b78980d0b9206149','demo-act-002963','{"counter": 71.0, "total": 71.0, "day": "2025-07-22"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-08-26", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002964',2964,'2025-09-30T08:15:00','person-1-of-demo','log use','demo-act-002956','7b419b122f5ef6e2628d2e8ee5cf8bc2b2221b34d5b003e100875278f6c8e6f2','demo-act-002964','{"counter": 71.0, "total": 71.0, "day": "2025-08-26"}','{"counter": 103.0, "total": 103.0, "typed": "103", "day": "2025-09-30", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002965',2965,'2025-10-28T08:43:00','person-2-of-demo','open a sheet','demo-act-002956','dff4d2d20f60738566a5ae7d0a5d6f24f76d471209d6a78cee0189c53611c919','demo-act-002965','{}','{"set": 1, "kind": "check", "counter": 131.0, "total": 131.0, "sheet": 2, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002966',2966,'2025-10-28T08:45:00','person-2-of-demo','measure','demo-act-002956','57c7c7d67b6e63a4bd4edbe08b0694a8219bed589adad4136db01e19a8aa126b','demo-act-002966','{}','{"position": "A", "typed": "22.07", "length_mm": 22.07, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002967',2967,'2025-10-28T08:46:00','person-2-of-demo','measure','demo-act-002956','b1810728999ffc606727101f329ca1fbb56804cc39d80dbf91c60e5e72eaedb2','demo-act-002967','{}','{"position": "B", "typed": "22.12", "length_mm": 22.12, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002968',2968,'2025-10-28T09:13:00','person-2-of-demo','sign a sheet','demo-act-002956','e626c47453bbaddf795b8823358868755a6848b7d7209450a59906df920cff34','demo-act-002956','{}','{"sheet": 2, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002969',2969,'2025-11-04T08:01:00','person-3-of-demo','log use','demo-act-002956','c77687ec6482931316de1794c43d29196c3f86badbf85177b2dcf6609dea53d2','demo-act-002969','{"counter": 131.0, "total": 131.0, "day": "2025-10-28"}','{"counter": 138.0, "total": 138.0, "typed": "138", "day": "2025-11-04", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002970',2970,'2025-12-09T08:03:00','person-1-of-demo','log use','demo-act-002956','5348c61cad4a4ba20bb4e56bcaca4aae3640e3dfb04c557e70a40542088a0cb4','demo-act-002970','{"counter": 138.0, "total": 138.0, "day": "2025-11-04"}','{"counter": 172.0, "total": 172.0, "typed": "172", "day": "2025-12-09", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002971',2971,'2026-01-13T08:46:00','person-2-of-demo','log use','demo-act-002956','ba63024d65ab4f42b5966174c66cea2b0907e7fbd2d89a6c441f3efba5929191','demo-act-002971','{"counter": 172.0, "total": 172.0, "day": "2025-12-09"}','{"counter": 213.0, "total": 213.0, "typed": "213", "day": "2026-01-13", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002972',2972,'2026-01-20T08:49:00','person-2-of-demo','open a sheet','demo-act-002956','141a3e2f58dfeab12db42af023de68035f968a47447f4622fc0301e6392913bd','demo-act-002972','{}','{"set": 1, "kind": "check", "counter": 222.0, "total": 222.0, "sheet": 3, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002973',2973,'2026-01-20T08:51:00','person-2-of-demo','measure','demo-act-002956','e9a5fd08d2ed27f87f46ee7590ba1d1a8d913b900c9c5733ed99390931c2b3c8','demo-act-002973','{}','{"position": "A", "typed": "21.1", "length_mm": 21.1, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002974',2974,'2026-01-20T08:52:00','person-2-of-demo','measure','demo-act-002956','270ecd14ee02fc1e43ff40e5a27cb3c794f793fe4fc89682e2cf96a9678c2b43','demo-act-002974','{}','{"position": "B", "typed": "21.16", "length_mm": 21.16, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002975',2975,'2026-01-20T09:19:00','person-2-of-demo','sign a sheet','demo-act-002956','f73adb29eb17242c40d8416c00374673cf411acbf634179d8fa8270bb1b7a4b5','demo-act-002956','{}','{"sheet": 3, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002976',2976,'2026-02-17T08:29:00','person-3-of-demo','log use','demo-act-002956','be297225dfbc3ca67cdfd60b1c5bbc98255dfe8244e599397620bf1178a153c3','demo-act-002976','{"counter": 222.0, "total": 222.0, "day": "2026-01-20"}','{"counter": 256.0, "total": 256.0, "typed": "256", "day": "2026-02-17", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002977',2977,'2026-03-10T08:08:00','person-1-of-demo','fit a new set','demo-act-002956','9a061371a574d1f1835148b1dc9882020fb016e10e632ce147bc28869d30591a','demo-act-002977','{"set": 1, "ran": 280.0}','{"set": 2, "reason": "with other work", "lengths_mm": {"A": 23.88, "B": 24.01}}',NULL);
INSERT INTO "act" VALUES('demo-act-002978',2978,'2026-03-24T08:06:00','person-1-of-demo','log use','demo-act-002956','079e3391d214f9dd67a21b401dd828fecda7c3b0098857ca7f9f2ea759d1d354','demo-act-002978','{"counter": 280.0, "total": 280.0, "day": "2026-03-10"}','{"counter": 296.0, "total": 296.0, "typed": "296", "day": "2026-03-24", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002979',2979,'2026-04-14T08:44:00','person-2-of-demo','open a sheet','demo-act-002956','2aac274942c2e1cd573930c25acd9da1f05d11b56ddaf4c05e21bc2533d760eb','demo-act-002979','{}','{"set": 2, "kind": "check", "counter": 322.0, "total": 322.0, "sheet": 4, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002980',2980,'2026-04-14T08:46:00','person-2-of-demo','measure','demo-act-002956','37e3f0846d886aa974c1e6e645df05e2a1b7afdfa81251cfb929506a4d98764b','demo-act-002980','{}','{"position": "A", "typed": "23.37", "length_mm": 23.37, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002981',2981,'2026-04-14T08:47:00','person-2-of-demo','measure','demo-act-002956','562fee85768dcfb417f9204fadbb87a9c8cbb655febeb324b104a9a1298047e4','demo-act-002981','{}','{"position": "B", "typed": "23.3", "length_mm": 23.3, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002982',2982,'2026-04-14T09:14:00','person-2-of-demo','sign a sheet','demo-act-002956','d45d12b84501ef5042e55e42eb9a366d6ac9cac88b3ee6045e21823fce6f2916','demo-act-002956','{}','{"sheet": 4, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002983',2983,'2026-04-28T08:30:00','person-2-of-demo','log use','demo-act-002956','45735b032f56cae4a75eaeb4531ff7594e8767a7be9badc04bdd0ae17bc56ca3','demo-act-002983','{"counter": 322.0, "total": 322.0, "day": "2026-04-14"}','{"counter": 341.0, "total": 341.0, "typed": "341", "day": "2026-04-28", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002984',2984,'2026-06-02T08:01:00','person-1-of-demo','log use','demo-act-002956','07f1d609f827ea82fdb1a8444f581808d5e841843a87b674ecf6ae90de33d292','demo-act-002984','{"counter": 341.0, "total": 341.0, "day": "2026-04-28"}','{"counter": 393.0, "total": 393.0, "typed": "393", "day": "2026-06-02", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002985',2985,'2026-07-07T08:40:00','person-2-of-demo','open a sheet','demo-act-002956','7bb4699009b7b4f9440aa3ae74cc5b32ab8a176bd6f47b8e44846b28c3b03fda','demo-act-002985','{}','{"set": 2, "kind": "check", "counter": 438.0, "total": 438.0, "sheet": 5, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002986',2986,'2026-07-07T08:42:00','person-2-of-demo','measure','demo-act-002956','c82abfb7686e0af61040a366b51717f09a82ec1c1a657de7ecbe1335bb6a81b5','demo-act-002986','{}','{"position": "A", "typed": "22.08", "length_mm": 22.08, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002987',2987,'2026-07-07T08:43:00','person-2-of-demo','measure','demo-act-002956','ef4e535a3199d8e807848d4724518182ef7dd0b54d7d13a241b6e8b12e15d851','demo-act-002987','{}','{"position": "B", "typed": "21.94", "length_mm": 21.94, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002988',2988,'2026-07-07T09:10:00','person-2-of-demo','sign a sheet','demo-act-002956','58ec632be43daf2de53dd0e45459d621f4dc75a4b995a0a3eef281e24a46ff77','demo-act-002956','{}','{"sheet": 5, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002989',2989,'2026-08-11T08:01:00','person-3-of-demo','log use','demo-act-002956','3441e082553d489ff1e4969210edc26f75119304a502a26a8d02d703d0a1885d','demo-act-002989','{"counter": 438.0, "total": 438.0, "day": "2026-07-07"}','{"counter": 438.0, "total": 438.0, "typed": "438", "day": "2026-08-11", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002990',2990,'2026-09-15T08:12:00','person-1-of-demo','log use','demo-act-002956','912c5308cdf82b91d802df01e25d5a37d9af43aef4d9c88befa7a0cb060dc73c','demo-act-002990','{"counter": 438.0, "total": 438.0, "day": "2026-08-11"}','{"counter": 454.0, "total": 454.0, "typed": "454", "day": "2026-09-15", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002991',2991,'2026-09-29T08:11:00','person-1-of-demo','open a sheet','demo-act-002956','26cb2dbdcb3eae74b52c025981f0cdcb34310a9947175b6a47d398b79fcc3653','demo-act-002991','{}','{"set": 2, "kind": "check", "counter": 468.0, "total": 468.0, "sheet": 6, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002992',2992,'2026-09-29T08:13:00','person-1-of-demo','measure','demo-act-002956','c394c338d9ae85120c5f9c24530a39eacdbc1fcdb719ee2cb2673546aa33a326','demo-act-002992','{}','{"position": "A", "typed": "21.75", "length_mm": 21.75, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002993',2993,'2026-09-29T08:14:00','person-1-of-demo','measure','demo-act-002956','d5cfceaf6f0003e0b2dac9449201a4c6487c2851183b57ffa67f9330c347fadb','demo-act-002993','{}','{"position": "B", "typed": "21.64", "length_mm": 21.64, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002994',2994,'2026-09-29T08:41:00','person-1-of-demo','sign a sheet','demo-act-002956','619a51fb71417473711993c9ab43183d10c0852cfdb2a1a4e310788309bedd84','demo-act-002956','{}','{"sheet": 6, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002995',2995,'2026-10-20T08:33:00','person-2-of-demo','log use','demo-act-002956','3cd2a992d134ce986c8664c49d1caeb4a1554ef0aa56b55f87fbfba9eb15e9a3','demo-act-002995','{"counter": 468.0, "total": 468.0, "day": "2026-09-29"}','{"counter": 492.0, "total": 492.0, "typed": "492", "day": "2026-10-20", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002996',2996,'2026-11-24T08:26:00','person-3-of-demo','open a sheet','demo-act-002956','4bf9ca3232c196b5adba11db8c47e47fd3f5d60400a904e2d0d299a90456b51c','demo-act-002996','{}','{"set": 2, "kind": "check", "counter": 526.0, "total": 526.0, "sheet": 7, "look": "full"}',NULL);
INSERT INTO "act" VALUES('demo-act-002997',2997,'2026-11-24T08:27:00','person-3-of-demo','enter','demo-act-002956','0270ce28e39fd40dbc350ad944503d93e7ec36459b2d8c35985908381ca2e846','demo-act-002997','{}','{"field": "complaint", "place": 0, "typed": "tingles when it is touched"}',NULL);
INSERT INTO "act" VALUES('demo-act-002998',2998,'2026-11-24T08:28:00','person-3-of-demo','enter','demo-act-002956','ea6b5bab133928ff107d641bc55e4a898936ec3e9e611a41f9cd076fb1a6aeb0','demo-act-002998','{}','{"field": "urgency", "place": 0, "typed": "now"}',NULL);
INSERT INTO "act" VALUES('demo-act-002999',2999,'2026-11-24T08:29:00','person-3-of-demo','enter','demo-act-002956','173c205d74a0823db1a51142d3bb9e8a27bace50eb84fd27f152fd3906bc6760','demo-act-002999','{}','{"field": "step.safe.dead", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003000',3000,'2026-11-24T08:30:00','person-3-of-demo','enter','demo-act-002956','16df4def86fa1271edda9d3fb65ffc4dbf812c72ae15d68e5fd22933e6e3073f','demo-act-003000','{}','{"field": "step.safe.still", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003001',3001,'2026-11-24T08:31:00','person-3-of-demo','enter','demo-act-002956','f7668774b1ec746ed8aa17a5f109acfa00b3d683eac9696bf4ac28d5b64cf8d6','demo-act-003001','{}','{"field": "step.safe.plug", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003002',3002,'2026-11-24T08:32:00','person-3-of-demo','enter','demo-act-002956','e46f31bdb4ba38e72b02332ff638da7a2d8e3e3e4b980bb048f19d4c0c880c65','demo-act-003002','{}','{"field": "step.safe.laid", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003003',3003,'2026-11-24T08:33:00','person-3-of-demo','enter','demo-act-002956','291a844b5f74a24462e3cfd0925ba127b775054fe58c33b66ea97dad807486c8','demo-act-003003','{}','{"field": "step.safe.capacitors", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003004',3004,'2026-11-24T08:34:00','person-3-of-demo','enter','demo-act-002956','7039b20f9ba5247bf2dec847a4328bb806ab0f069aa17474534b1f09d047d3e0','demo-act-003004','{}','{"field": "step.safe.dust", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003005',3005,'2026-11-24T08:35:00','person-3-of-demo','enter','demo-act-002956','292806375fd41ed9cea3b59312dc37847aead2964f5ac0ad064e9df2f57304e2','demo-act-003005','{}','{"field": "safe.method", "place": 0, "typed": "unplugged"}',NULL);
INSERT INTO "act" VALUES('demo-act-003006',3006,'2026-11-24T08:36:00','person-3-of-demo','enter','demo-act-002956','92fa7eaa4c55929581aa617eb55aebb5902efebc9778f49d08e16473fc9684ee','demo-act-003006','{}','{"field": "state", "place": 0, "typed": "opened"}',NULL);
INSERT INTO "act" VALUES('demo-act-003007',3007,'2026-11-24T08:37:00','person-3-of-demo','measure','demo-act-002956','90023189bfc6866a3555dab4c876436a8c0ba3211a8008d07ada3eb78cf99b3b','demo-act-003007','{}','{"position": "A", "typed": "21.17", "length_mm": 21.17, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003008',3008,'2026-11-24T08:38:00','person-3-of-demo','measure','demo-act-002956','465eb1717c8ec0afc042551036239fc58c19e29e255977c1b2058758eb015f5f','demo-act-003008','{}','{"position": "B", "typed": "20.93", "length_mm": 20.93, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003009',3009,'2026-11-24T08:39:00','person-3-of-demo','enter','demo-act-002956','52d720a73ec4c7a1ad3c09064ebf287a608a78b49a241e9df8b95657117a9f14','demo-act-003009','{}','{"field": "earth-ohm", "place": 0, "typed": "1.4"}',NULL);
INSERT INTO "act" VALUES('demo-act-003010',3010,'2026-11-24T08:40:00','person-3-of-demo','enter','demo-act-002956','fd5b892bfca894cb95969d9b9b91c0aa1dd34fdb4cac0af70796a3949c72b423','demo-act-003010','{}','{"field": "seen.commutator.slots", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003011',3011,'2026-11-24T08:41:00','person-3-of-demo','enter','demo-act-002956','647d81604a33d0f6e6d290c5bb614b7597cd733695efacf18f865b5faf446727','demo-act-003011','{}','{"field": "sound.windings", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003012',3012,'2026-11-24T08:42:00','person-3-of-demo','enter','demo-act-002956','13b394edefe8046455ea96fad0ea2f14a2f8e889ce9156b9bb0b37c5629aafdb','demo-act-003012','{}','{"field": "sound.drive", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003013',3013,'2026-11-24T08:43:00','person-3-of-demo','enter','demo-act-002956','a9d7fee365f0e6d57e088d8be09b7fc48c1950562d480128c333656d5b006fc2','demo-act-003013','{}','{"field": "looked.springs", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003014',3014,'2026-11-24T08:44:00','person-3-of-demo','enter','demo-act-002956','e76c3c6a92503b34f346e9886f8def6e7f8bd115c8e2805a35d8e38076cc9c20','demo-act-003014','{}','{"field": "looked.holders", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003015',3015,'2026-11-24T08:45:00','person-3-of-demo','enter','demo-act-002956','8130ed9557ae2c207d5a9c0e2d03a3a8082eb10c03d26494729332c3b3799697','demo-act-003015','{}','{"field": "decide.earth.open", "place": 0, "typed": "now"}',NULL);
INSERT INTO "act" VALUES('demo-act-003016',3016,'2026-11-24T08:46:00','person-3-of-demo','enter','demo-act-002956','7e21ff7fde14e51f1ce61c4c0caec4565ea3fe18c568055c1ab4141ccb02ada6','demo-act-003016','{}','{"field": "task.earth", "place": 0, "typed": "yes", "took": "20", "parts": "star washer M5, 1"}',NULL);
INSERT INTO "act" VALUES('demo-act-003190',3190,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'7bef20a2e15d206f5f8830ca9001fb5e321b3ccab7a363d49c47ae2743f600d8','demo-act-003190','{}','{"window": "Summer, house dark", "first": "2023-07-01", "last": "2023-08-31", "yearly": true, "place": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003191',3191,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'ccfec9fc9a594e997e5d84a7b8a56ab915a2f3d6bc4cbae4cf2b57511bcea4ee','demo-act-003191','{}','{"window": "Get-in of the winter piece", "first": "2026-12-07", "last": "2026-12-13", "yearly": false, "place": "stage"}',NULL);
INSERT INTO "act" VALUES('demo-act-003192',3192,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'2ebd376e3de091a53988d9f1035398c48a6ad2b091abcabe5335680ef366ed31','demo-act-003192','{}','{"window": "February refit", "first": "2027-02-08", "last": "2027-02-21", "yearly": false, "place": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003194',3194,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'cfcaf0525cefbe039d85bc61c4b331984b957dca7df693a69d41b020de4d8d7a','fit.clearance-most','{"value": null}','{"value": 0.25, "scope": "site", "of": "", "why": "the house keeps brushes tighter after two chipped sets"}',NULL);
INSERT INTO "act" VALUES('demo-act-003195',3195,'2026-10-06T00:00:00','person-2-of-demo','change a rule',NULL,'0fae4b58f739cc50716e6a0a9f86953d138e81bb7074dc85fe32f119dd6f7251','school.old-or-new','{"value": null}','{"value": "keep", "scope": "motor", "of": "demo-act-002801", "why": "no such carbon is made any more, and it runs well"}',NULL);
CREATE TABLE "brush_set" (
    id text primary key,
    motor_id text not null references motor (id),
    number integer not null,
    fitted_at text not null,
    fitted_units real not null,
    fitted_known integer not null check (fitted_known in (0, 1)),
    span_first_on text,
    span_last_on text,
    span_low_units real,
    span_high_units real,
    ended_at text,
    ended_units real,
    end_reason text,
    sheet_id text references sheet (id),
    part text not null default '',
    variant text not null default '',
    nominal_json text not null default '[]',
    noted integer not null default 0 check (noted in (0, 1)),
    lasted text not null default '' check (lasted in ('', 'about', 'least')),
    gone_share real check (gone_share > 0 and gone_share <= 1),
    struck_act_id text references act (id),
    act_id text not null references act (id),
    unique (motor_id, number),
    check ((ended_at is null) = (ended_units is null) and (ended_at is null) = (end_reason is null)),
    check ((span_first_on is null) = (span_last_on is null) and (span_low_units is null) = (span_high_units is null))
) strict;
INSERT INTO "brush_set" VALUES('demo-act-002956.set','demo-act-002956',1,'2025-05-13T08:14:00',0.0,1,NULL,NULL,NULL,NULL,'2026-03-10T08:08:00',280.0,'with other work',NULL,'','','[]',0,'',NULL,NULL,'demo-act-002956');
INSERT INTO "brush_set" VALUES('demo-act-002977','demo-act-002956',2,'2026-03-10T08:08:00',280.0,1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,'','','[]',0,'',NULL,NULL,'demo-act-002977');
CREATE TABLE entry (
    id text primary key,
    sheet_id text not null references sheet (id),
    field text not null,
    place integer not null check (place >= 0),
    typed text not null,
    word text not null,
    value_in_si_unit real,
    more_json text not null,
    replaced_by text references entry (id),
    act_id text not null references act (id)
, sight text not null default 'found' check (sight in ('found', 'left', 'asked')), slip integer not null default 0 check (slip in (0, 1))) strict;
INSERT INTO "entry" VALUES('demo-act-002959.safe','demo-act-002959','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002959','found',0);
INSERT INTO "entry" VALUES('demo-act-002962.confirm.service','demo-act-002959','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002962','found',0);
INSERT INTO "entry" VALUES('demo-act-002965.safe','demo-act-002965','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002965','found',0);
INSERT INTO "entry" VALUES('demo-act-002968.confirm.service','demo-act-002965','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002968','found',0);
INSERT INTO "entry" VALUES('demo-act-002972.safe','demo-act-002972','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002972','found',0);
INSERT INTO "entry" VALUES('demo-act-002975.confirm.service','demo-act-002972','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002975','found',0);
INSERT INTO "entry" VALUES('demo-act-002979.safe','demo-act-002979','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002979','found',0);
INSERT INTO "entry" VALUES('demo-act-002982.confirm.service','demo-act-002979','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002982','found',0);
INSERT INTO "entry" VALUES('demo-act-002985.safe','demo-act-002985','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002985','found',0);
INSERT INTO "entry" VALUES('demo-act-002988.confirm.service','demo-act-002985','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002988','found',0);
INSERT INTO "entry" VALUES('demo-act-002991.safe','demo-act-002991','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002991','found',0);
INSERT INTO "entry" VALUES('demo-act-002994.confirm.service','demo-act-002991','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002994','found',0);
INSERT INTO "entry" VALUES('demo-act-002997','demo-act-002996','complaint',0,'tingles when it is touched','tingles when it is touched',NULL,'{}',NULL,'demo-act-002997','found',0);
INSERT INTO "entry" VALUES('demo-act-002998','demo-act-002996','urgency',0,'now','now',NULL,'{}',NULL,'demo-act-002998','found',0);
INSERT INTO "entry" VALUES('demo-act-002999','demo-act-002996','step.safe.dead',0,'yes','yes',NULL,'{}',NULL,'demo-act-002999','found',0);
INSERT INTO "entry" VALUES('demo-act-003000','demo-act-002996','step.safe.still',0,'yes','yes',NULL,'{}',NULL,'demo-act-003000','found',0);
INSERT INTO "entry" VALUES('demo-act-003001','demo-act-002996','step.safe.plug',0,'yes','yes',NULL,'{}',NULL,'demo-act-003001','found',0);
INSERT INTO "entry" VALUES('demo-act-003002','demo-act-002996','step.safe.laid',0,'yes','yes',NULL,'{}',NULL,'demo-act-003002','found',0);
INSERT INTO "entry" VALUES('demo-act-003003','demo-act-002996','step.safe.capacitors',0,'yes','yes',NULL,'{}',NULL,'demo-act-003003','found',0);
INSERT INTO "entry" VALUES('demo-act-003004','demo-act-002996','step.safe.dust',0,'yes','yes',NULL,'{}',NULL,'demo-act-003004','found',0);
INSERT INTO "entry" VALUES('demo-act-003005','demo-act-002996','safe.method',0,'unplugged','unplugged',NULL,'{}',NULL,'demo-act-003005','found',0);
INSERT INTO "entry" VALUES('demo-act-003006','demo-act-002996','state',0,'opened','opened',NULL,'{}',NULL,'demo-act-003006','found',0);
INSERT INTO "entry" VALUES('demo-act-003009','demo-act-002996','earth-ohm',0,'1.4','',1.4,'{}',NULL,'demo-act-003009','found',0);
INSERT INTO "entry" VALUES('demo-act-003010','demo-act-002996','seen.commutator.slots',0,'yes','yes',NULL,'{}',NULL,'demo-act-003010','found',0);
INSERT INTO "entry" VALUES('demo-act-003011','demo-act-002996','sound.windings',0,'yes','yes',NULL,'{}',NULL,'demo-act-003011','found',0);
INSERT INTO "entry" VALUES('demo-act-003012','demo-act-002996','sound.drive',0,'yes','yes',NULL,'{}',NULL,'demo-act-003012','found',0);
INSERT INTO "entry" VALUES('demo-act-003013','demo-act-002996','looked.springs',0,'yes','yes',NULL,'{}',NULL,'demo-act-003013','found',0);
INSERT INTO "entry" VALUES('demo-act-003014','demo-act-002996','looked.holders',0,'yes','yes',NULL,'{}',NULL,'demo-act-003014','found',0);
INSERT INTO "entry" VALUES('demo-act-003015','demo-act-002996','decide.earth.open',0,'now','now',NULL,'{}',NULL,'demo-act-003015','found',0);
INSERT INTO "entry" VALUES('demo-act-003016','demo-act-002996','task.earth',0,'yes','yes',NULL,'{"took": "20", "parts": "star washer M5, 1"}',NULL,'demo-act-003016','found',0);
CREATE TABLE finding (
    id text primary key,
    round_id text not null references round (id),
    position_number integer not null check (position_number between 1 and 40),
    seen text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
, sight text not null default 'found' check (sight in ('found', 'left'))) strict;
CREATE TABLE forecast (
    motor_id text primary key references motor (id),
    ahead_json text not null
) strict;
INSERT INTO "forecast" VALUES('demo-act-002956','{"visits": 5, "past_sets": 1, "life_units": 1385.9678584668318, "p05_units": 1260.0959228515626, "p10_units": 1336.8512451171875, "p25_units": 1443.7864990234375, "p50_units": 1569.4774780273438, "p75_units": 1698.4779663085938, "p90_units": 1826.4526977539062, "p95_units": 1914.667541503906, "look_units": 1260.0959237420466, "p10_on": "2028-12-22", "p50_on": "2029-12-16", "p90_on": "2031-02-05", "look_on": "2028-10-23", "tail": 0.45321565866470337, "jumped": 0.0009972284315153956, "rate_mm_per_unit": 0.010822761803865433, "worst_position": 2, "seen_units": 526.0, "coarse": false}');
CREATE TABLE forecast_made (
    round_id text primary key references round (id),
    set_id text not null references brush_set (id),
    motor_id text not null references motor (id),
    at text not null,
    visits integer not null check (visits >= 0),
    p05_units real not null,
    p10_units real not null,
    p50_units real not null,
    p90_units real not null,
    p95_units real not null,
    look_units real not null,
    tail real not null
) strict;
INSERT INTO "forecast_made" VALUES('demo-act-002959.found','demo-act-002956.set','demo-act-002956','2025-08-05T08:49:00',1,6.81776586914062477252e+02,7.52932012939453102276e+02,1124.80419921875,1728.52646484375,2.02130932617187409044e+03,6.81776587366592138998e+02,5.04513025283813476562e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002965.found','demo-act-002956.set','demo-act-002956','2025-10-28T09:13:00',2,7.82545587158203147758e+02,8.86018109130859329511e+02,1.17576727294921875004e+03,1.54110172119140634099e+03,1.68394141845703052247e+03,7.82545587533968500792e+02,5.43554544448852539062e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002972.found','demo-act-002956.set','demo-act-002956','2026-01-20T09:19:00',3,936.031494140625,1.00547852172851560231e+03,1.24840112304687500001e+03,1.51892586669921865905e+03,1.61078979492187499998e+03,9.36031497491756454137e+02,6.20682477951049804687e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002979.found','demo-act-002977','demo-act-002956','2026-04-14T09:14:00',2,1.03250067138671874997e+03,1140.3046875,1.72047088623046875001e+03,2.91863659667968750001e+03,3.68167531738280968066e+03,1.03250067767081782224e+03,7.38195896148681640625e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002985.found','demo-act-002977','demo-act-002956','2026-07-07T09:10:00',3,1.14273587036132812501e+03,1.26161860961914067049e+03,1.53892114257812499993e+03,1.87109965820312504538e+03,1.98878895263671847714e+03,1.14273587053839582948e+03,3.24265331029891967773e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002991.found','demo-act-002977','demo-act-002956','2026-09-29T08:41:00',4,1.21051309204101562499e+03,1.30605755615234374994e+03,1.56325823974609375002e+03,1871.8513671875,1.96893559570312459078e+03,1.2105130982085829601e+03,5.24223864078521728515e-01);
CREATE TABLE import_file (
    id text primary key,
    name text not null,
    sha256 text not null,
    data blob not null,
    at text not null,
    person_id text not null references person (id)
) strict;
CREATE TABLE life (
    id text primary key,
    motor_id text not null references motor (id),
    sheet_id text references sheet (id), -- where it was found; none for what is older than sheets
    position_number integer not null check (position_number between 0 and 40),
    finding text not null,
    grade text not null check (grade in ('watch', 'plan', 'change', 'stop')),
    words text not null,
    state text not null check (state in ('open', 'put off', 'done not proven', 'proven', 'dropped', 'withdrawn')),
    who text not null,
    due_on text,
    why text not null,
    ended_sheet_id text references sheet (id),
    ended_act_id text references act (id)
) strict;
INSERT INTO "life" VALUES('demo-act-002996.earth.open.0','demo-act-002956','demo-act-002996',0,'earth.open','stop','protective earth 1.4 Ω, allowed 0.1','open','',NULL,'',NULL,NULL);
CREATE TABLE motor (
    id text primary key,
    tag text not null unique collate nocase,
    name text not null,
    place text not null,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    type_id text references motor_type (id),
    version integer not null default 1,
    act_id text not null references act (id)
, tag_key text not null default '', sought_key text not null default '', place_key text not null default '') strict;
INSERT INTO "motor" VALUES('demo-act-002956','A-10','Haze fan','stage left','appliance',NULL,1,'demo-act-002956','a10','a10
hazefan
stageleft','stageleft');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('demo-act-002956','expected_life_units',1200.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002956','grade_family',NULL,'resin-bonded');
INSERT INTO "motor_figure" VALUES('demo-act-002956','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-002956','limit_mm',9.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002956','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('demo-act-002956','new_mm',24.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002956','thickness_mm',6.3,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002956','width_mm',11.0,NULL);
CREATE TABLE motor_type (
    id text primary key,
    name text not null unique collate nocase,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    act_id text not null references act (id)
, name_key text not null default '', taught integer not null default 0) strict;
INSERT INTO "motor_type" VALUES('demo-act-000001','Winch motor, four-pole shunt','industrial','demo-act-000001','winchmotorfourpoleshunt',3);
INSERT INTO "motor_type" VALUES('demo-act-000002','Bench tool motor, universal','tool','demo-act-000002','benchtoolmotoruniversal',6);
CREATE TABLE note_batch (
    id text primary key,
    motor_id text references motor (id), -- none where it speaks of several
    source text not null check (source in ('form', 'grid', 'table')),
    digest text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
CREATE TABLE past_set (
    set_id text primary key references brush_set (id),
    motor_id text not null references motor (id),
    log_rate real not null, -- ln(mm per unit of use), mean of the set
    at_most integer not null check (at_most in (0, 1))
, about integer not null default 0 check (about in (0, 1))) strict;
INSERT INTO "past_set" VALUES('demo-act-002956.set','demo-act-002956',-4.34836535210075059154e+00,0,0);
CREATE TABLE person (
    id text primary key,
    name text not null unique collate nocase,
    made_at text not null
, name_key text not null default '') strict;
INSERT INTO "person" VALUES('person-1-of-demo','Ines Torvald','2022-09-06T00:00:00','inestorvald');
INSERT INTO "person" VALUES('person-2-of-demo','Bram Aldous','2022-09-06T00:00:00','bramaldous');
INSERT INTO "person" VALUES('person-3-of-demo','Maud Celliers','2022-09-06T00:00:00','maudcelliers');
CREATE TABLE policy (
    id text primary key,
    scope text not null check (scope in ('type', 'motor')),
    scope_id text not null,
    kind text not null check (kind in ('interval', 'range', 'calendar', 'table')),
    name text not null,
    value_json text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
CREATE TABLE position (
    motor_id text not null references motor (id),
    number integer not null check (number between 1 and 40),
    label text not null,
    angle_deg real not null check (angle_deg >= 0 and angle_deg < 360),
    arm integer not null check (arm >= 1),
    polarity text not null check (polarity in ('+', '-')),
    primary key (motor_id, number)
) strict, without rowid;
INSERT INTO "position" VALUES('demo-act-002956',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('demo-act-002956',2,'B',270.0,2,'-');
CREATE TABLE preference (
    person_id text not null references person (id),
    name text not null,
    value text not null,
    act_id text not null references act (id),
    primary key (person_id, name)
) strict;
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
, sight text not null default 'found' check (sight in ('found', 'left', 'asked'))) strict;
INSERT INTO "reading" VALUES('demo-act-002960','demo-act-002959.found',1,'22.77','mm','length','digital-caliper',22.77,22.77,0.05,22.77,22.77,NULL,NULL,'','','',NULL,'demo-act-002960','found');
INSERT INTO "reading" VALUES('demo-act-002961','demo-act-002959.found',2,'22.8','mm','length','digital-caliper',22.8,22.8,0.05,22.8,22.8,NULL,NULL,'','','',NULL,'demo-act-002961','found');
INSERT INTO "reading" VALUES('demo-act-002966','demo-act-002965.found',1,'22.07','mm','length','digital-caliper',22.07,22.07,0.05,22.07,22.07,NULL,NULL,'','','',NULL,'demo-act-002966','found');
INSERT INTO "reading" VALUES('demo-act-002967','demo-act-002965.found',2,'22.12','mm','length','digital-caliper',22.12,22.12,0.05,22.12,22.12,NULL,NULL,'','','',NULL,'demo-act-002967','found');
INSERT INTO "reading" VALUES('demo-act-002973','demo-act-002972.found',1,'21.1','mm','length','digital-caliper',21.1,21.1,0.05,21.1,21.1,NULL,NULL,'','','',NULL,'demo-act-002973','found');
INSERT INTO "reading" VALUES('demo-act-002974','demo-act-002972.found',2,'21.16','mm','length','digital-caliper',21.16,21.16,0.05,21.16,21.16,NULL,NULL,'','','',NULL,'demo-act-002974','found');
INSERT INTO "reading" VALUES('demo-act-002977.1','demo-act-002977.fit',1,'23.88','mm','length','digital-caliper',23.88,23.88,0.05,23.88,23.88,NULL,NULL,'','','',NULL,'demo-act-002977','found');
INSERT INTO "reading" VALUES('demo-act-002977.2','demo-act-002977.fit',2,'24.01','mm','length','digital-caliper',24.01,24.01,0.05,24.01,24.01,NULL,NULL,'','','',NULL,'demo-act-002977','found');
INSERT INTO "reading" VALUES('demo-act-002980','demo-act-002979.found',1,'23.37','mm','length','digital-caliper',23.37,23.37,0.05,23.37,23.37,NULL,NULL,'','','',NULL,'demo-act-002980','found');
INSERT INTO "reading" VALUES('demo-act-002981','demo-act-002979.found',2,'23.3','mm','length','digital-caliper',23.3,23.3,0.05,23.3,23.3,NULL,NULL,'','','',NULL,'demo-act-002981','found');
INSERT INTO "reading" VALUES('demo-act-002986','demo-act-002985.found',1,'22.08','mm','length','digital-caliper',22.08,22.08,0.05,22.08,22.08,NULL,NULL,'','','',NULL,'demo-act-002986','found');
INSERT INTO "reading" VALUES('demo-act-002987','demo-act-002985.found',2,'21.94','mm','length','digital-caliper',21.94,21.94,0.05,21.94,21.94,NULL,NULL,'','','',NULL,'demo-act-002987','found');
INSERT INTO "reading" VALUES('demo-act-002992','demo-act-002991.found',1,'21.75','mm','length','digital-caliper',21.75,21.75,0.05,21.75,21.75,NULL,NULL,'','','',NULL,'demo-act-002992','found');
INSERT INTO "reading" VALUES('demo-act-002993','demo-act-002991.found',2,'21.64','mm','length','digital-caliper',21.64,21.64,0.05,21.64,21.64,NULL,NULL,'','','',NULL,'demo-act-002993','found');
INSERT INTO "reading" VALUES('demo-act-003007','demo-act-002996.found',1,'21.17','mm','length','digital-caliper',21.17,21.17,0.05,21.17,21.17,NULL,NULL,'','','',NULL,'demo-act-003007','found');
INSERT INTO "reading" VALUES('demo-act-003008','demo-act-002996.found',2,'20.93','mm','length','digital-caliper',20.93,20.93,0.05,20.93,20.93,NULL,NULL,'','','',NULL,'demo-act-003008','found');
CREATE TABLE "renewal" (
    set_id text not null references brush_set (id),
    position_number integer not null check (position_number between 1 and 40),
    at text not null,
    total_units real not null,
    length_mm real check (length_mm > 0),
    sd_mm real check (sd_mm > 0),
    sheet_id text references sheet (id),
    act_id text not null references act (id),
    primary key (set_id, position_number, act_id)
) strict;
CREATE TABLE "round" (
    id text primary key,
    motor_id text not null references motor (id),
    set_id text not null references brush_set (id),
    kind text not null check (kind in ('check', 'fitting', 'bedded')),
    at text not null,
    seq integer not null,
    total_units real not null,
    finished_at text,
    sheet_id text references sheet (id),
    noted integer not null default 0 check (noted in (0, 1)),
    measured_by text not null default '',
    shortest integer not null default 0 check (shortest in (0, 1)),
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
INSERT INTO "round" VALUES('demo-act-002959.found','demo-act-002956','demo-act-002956.set','check','2025-08-05T08:19:00',1,71.0,'2025-08-05T08:49:00','demo-act-002959',0,'',0,NULL,'demo-act-002959');
INSERT INTO "round" VALUES('demo-act-002965.found','demo-act-002956','demo-act-002956.set','check','2025-10-28T08:43:00',2,131.0,'2025-10-28T09:13:00','demo-act-002965',0,'',0,NULL,'demo-act-002965');
INSERT INTO "round" VALUES('demo-act-002972.found','demo-act-002956','demo-act-002956.set','check','2026-01-20T08:49:00',3,222.0,'2026-01-20T09:19:00','demo-act-002972',0,'',0,NULL,'demo-act-002972');
INSERT INTO "round" VALUES('demo-act-002977.fit','demo-act-002956','demo-act-002977','fitting','2026-03-10T08:08:00',4,280.0,'2026-03-10T08:08:00',NULL,0,'',0,NULL,'demo-act-002977');
INSERT INTO "round" VALUES('demo-act-002979.found','demo-act-002956','demo-act-002977','check','2026-04-14T08:44:00',5,322.0,'2026-04-14T09:14:00','demo-act-002979',0,'',0,NULL,'demo-act-002979');
INSERT INTO "round" VALUES('demo-act-002985.found','demo-act-002956','demo-act-002977','check','2026-07-07T08:40:00',6,438.0,'2026-07-07T09:10:00','demo-act-002985',0,'',0,NULL,'demo-act-002985');
INSERT INTO "round" VALUES('demo-act-002991.found','demo-act-002956','demo-act-002977','check','2026-09-29T08:11:00',7,468.0,'2026-09-29T08:41:00','demo-act-002991',0,'',0,NULL,'demo-act-002991');
INSERT INTO "round" VALUES('demo-act-002996.found','demo-act-002956','demo-act-002977','check','2026-11-24T08:26:00',8,526.0,NULL,'demo-act-002996',0,'',0,NULL,'demo-act-002996');
CREATE TABLE rule_override (
    id text primary key,
    rule_id text not null,
    scope text not null check (scope in ('site', 'class', 'type', 'motor')),
    scope_id text not null,
    value_in_rule_unit real not null,
    why text not null,
    ended_act_id text references act (id),
    act_id text not null references act (id)
, word text not null default '') strict;
INSERT INTO "rule_override" VALUES('demo-act-003194','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-003194','');
INSERT INTO "rule_override" VALUES('demo-act-003195','school.old-or-new','motor','demo-act-002801',0.0,'no such carbon is made any more, and it runs well',NULL,'demo-act-003195','keep');
CREATE TABLE "sheet" (
    id text primary key,
    motor_id text not null references motor (id),
    number integer not null check (number >= 1),
    kind text not null check (kind in ('full', 'quick')),
    at text not null,
    signed_at text,
    signed_json text,
    act_id text not null references act (id),
    unique (motor_id, number),
    check ((signed_at is null) = (signed_json is null))
) strict;
INSERT INTO "sheet" VALUES('demo-act-002959','demo-act-002956',1,'quick','2025-08-05T08:19:00','2025-08-05T08:49:00','{"person": "Maud Celliers", "sentence": "Run on. Brush A has 13.8 mm to its limit, 92% of its usable carbon.", "figures": [{"value": "1\u202f120 h", "words": "limit about", "beside": "21 May 2028", "until": ""}, {"value": "681 h", "words": "look by", "beside": "30 November 2026", "until": "2026-12-01"}, {"value": "15 February 2027", "words": "plan by", "beside": "", "until": "2026-12-01"}, {"value": "8 in 10", "words": "how sure", "beside": "752 to 1\u202f720 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 92%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 752 and 1\u202f720 h, 1 March 2027 to 16 June 2030, from 1 round and the expected life.", "Look by 681 h, 30 November 2026 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 5 August 2027 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 865 h, plan by 706 h, look again by 468 h.", "Dates from 7.1 h a week (10 weeks of log)."], "open": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2026-11-30", "look_at": 681.7765873665921, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002959');
INSERT INTO "sheet" VALUES('demo-act-002965','demo-act-002956',2,'quick','2025-10-28T08:43:00','2025-10-28T09:13:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 13.1 mm to its limit, 87% of its usable carbon.", "figures": [{"value": "1\u202f170 h", "words": "limit about", "beside": "15 June 2029", "until": ""}, {"value": "28 October 2027", "words": "look by, for the calendar limit", "beside": "", "until": "2027-10-29"}, {"value": "12 March 2028", "words": "plan by", "beside": "", "until": "2027-10-29"}, {"value": "8 in 10", "words": "how sure", "beside": "886 to 1\u202f540 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 87%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 886 and 1\u202f540 h, 26 March 2028 to 27 April 2031, from 2 rounds and the expected life.", "Look by 782 h, 11 November 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before.", "Look by 28 October 2027 for the calendar limit: 24 months since the last complete look: low use is not health; this comes first.", "Straight line: do not exceed 1\u202f018 h, plan by 840 h, look again by 574 h.", "Dates from 5.5 h a week (24 weeks of log)."], "open": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2027-10-28", "look_at": null, "look_by": "calendar limit", "sooner": "", "sooner_at": null}','demo-act-002965');
INSERT INTO "sheet" VALUES('demo-act-002972','demo-act-002956',3,'quick','2026-01-20T08:49:00','2026-01-20T09:19:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 12.1 mm to its limit, 81% of its usable carbon.", "figures": [{"value": "1\u202f240 h", "words": "limit about", "beside": "14 March 2029", "until": ""}, {"value": "936 h", "words": "look by", "beside": "30 December 2027", "until": "2027-12-31"}, {"value": "1 March 2028", "words": "plan by", "beside": "", "until": "2027-12-31"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f000 to 1\u202f510 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 81%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f000 and 1\u202f510 h, 15 March 2028 to 29 June 2030, from 3 rounds and the expected life.", "Look by 936 h, 30 December 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 20 January 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f148 h, plan by 963 h, look again by 685 h.", "Dates from 6.2 h a week (36 weeks of log)."], "open": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2027-12-30", "look_at": 936.0314974917565, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002972');
INSERT INTO "sheet" VALUES('demo-act-002979','demo-act-002956',4,'quick','2026-04-14T08:44:00','2026-04-14T09:14:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 14.3 mm to its limit, 95% of its usable carbon.", "figures": [{"value": "1\u202f720 h", "words": "limit about", "beside": "11 May 2030", "until": ""}, {"value": "1\u202f030 h", "words": "look by", "beside": "22 February 2028", "until": "2028-02-23"}, {"value": "6 July 2028", "words": "plan by", "beside": "", "until": "2028-02-23"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f140 to 2\u202f910 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 95%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f140 and 2\u202f910 h, 20 July 2028 to 16 November 2033, from 2 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f030 h, 22 February 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 14 April 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f167 h, plan by 998 h, look again by 744 h.", "Dates from 6.7 h a week (48 weeks of log).", "Uneven: the wear differs by 33% of its mean, B most. Look at holder, spring and lead there before renewing."], "open": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-02-22", "look_at": 1032.5006776708178, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002979');
INSERT INTO "sheet" VALUES('demo-act-002985','demo-act-002956',5,'quick','2026-07-07T08:40:00','2026-07-07T09:10:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.9 mm to its limit, 86% of its usable carbon.", "figures": [{"value": "1\u202f530 h", "words": "limit about", "beside": "15 July 2029", "until": ""}, {"value": "1\u202f140 h", "words": "look by", "beside": "24 April 2028", "until": "2028-04-25"}, {"value": "30 June 2028", "words": "plan by", "beside": "", "until": "2028-04-25"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f260 to 1\u202f870 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 86%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f260 and 1\u202f870 h, 14 July 2028 to 4 October 2030, from 3 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f140 h, 24 April 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 7 July 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f425 h, plan by 1\u202f228 h, look again by 931 h.", "Dates from 7.0 h a week (55 weeks of log)."], "open": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-04-24", "look_at": 1142.7358705383958, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002985');
INSERT INTO "sheet" VALUES('demo-act-002991','demo-act-002956',6,'quick','2026-09-29T08:11:00','2026-09-29T08:41:00','{"person": "Ines Torvald", "sentence": "Run on. Brush B has 12.6 mm to its limit, 84% of its usable carbon.", "figures": [{"value": "1\u202f560 h", "words": "limit about", "beside": "5 October 2029", "until": ""}, {"value": "1\u202f210 h", "words": "look by", "beside": "6 August 2028", "until": "2028-08-07"}, {"value": "3 October 2028", "words": "plan by", "beside": "", "until": "2028-08-07"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f300 to 1\u202f870 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 84%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f300 and 1\u202f870 h, 17 October 2028 to 5 December 2030, from 4 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f210 h, 6 August 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 29 September 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f470 h, plan by 1\u202f270 h, look again by 969 h.", "Dates from 7.0 h a week (57 weeks of log)."], "open": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-08-06", "look_at": 1210.513098208583, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002991');
INSERT INTO "sheet" VALUES('demo-act-002996','demo-act-002956',7,'full','2026-11-24T08:26:00',NULL,NULL,'demo-act-002996');
CREATE TABLE shutdown (
    id text primary key,
    name text not null,
    first_on text not null,
    last_on text not null,
    yearly integer not null check (yearly in (0, 1)),
    place text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id),
    check (last_on >= first_on)
) strict;
INSERT INTO "shutdown" VALUES('demo-act-003190','Summer, house dark','2023-07-01','2023-08-31',1,'',NULL,'demo-act-003190');
INSERT INTO "shutdown" VALUES('demo-act-003191','Get-in of the winter piece','2026-12-07','2026-12-13',0,'stage',NULL,'demo-act-003191');
INSERT INTO "shutdown" VALUES('demo-act-003192','February refit','2027-02-08','2027-02-21',0,'',NULL,'demo-act-003192');
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Lanternmoor Playhouse, engineering shop','2026-11-24','2026-11-28T17:53:03');
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
, early_on text, late_on text, look_by text not null default '', version integer not null default 0, place_key text not null default '', plan_on text, change_on text, rises_json text not null default '[]', figures_json text not null default '[]') strict;
INSERT INTO "standing" VALUES('demo-act-002956',3195,'stop',7,'2029-12-16','2028-10-23','2029-12-16',11.93,'Measure again: protective earth, lead taken off. Windings and magnets: protective earth 1.4 Ω, allowed 0.1; protective earth joined again, not yet proven.','Done, not proven','windings and magnets','{"new_mm": 24.0, "limit_mm": 9.0, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 21.17, "next_mm": 13.083008319752262, "old": false}, {"label": "B", "length_mm": 20.93, "next_mm": 11.738880304367864, "old": false}]}','2028-12-22','2031-02-05','forecast',49,'stageleft','2028-10-24','2028-10-24','[{"on": "2028-12-08", "grade": "plan", "part": "brushes", "word": "Plan the change", "act": "Plan the change.", "why": "The limit may come by 22 December 2028."}, {"on": "2028-12-15", "grade": "change", "part": "brushes", "word": "Change or measure now", "act": "Change the set or measure it now.", "why": "The limit may come by 22 December 2028."}, {"on": "2028-10-24", "grade": "change", "part": "look", "word": "Change or measure now", "act": "Measure it now, or change the set.", "why": "The look of 23 October 2028 is overdue."}]','[]');
CREATE TABLE type_figure (
    type_id text not null references motor_type (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (type_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "type_figure" VALUES('demo-act-000001','armature_slots',29.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','bars',87.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','bearing_drive',NULL,'6310-2Z');
INSERT INTO "type_figure" VALUES('demo-act-000001','bearing_other',NULL,'6308-2Z');
INSERT INTO "type_figure" VALUES('demo-act-000001','commutator_d_min_mm',115.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','commutator_d_mm',120.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','construction',NULL,'shunt');
INSERT INTO "type_figure" VALUES('demo-act-000001','end_float_high_mm',0.4,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','end_float_low_mm',0.1,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','expected_life_units',2600.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','force_nominal_n',8.4,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','grade',NULL,'LP-B 214');
INSERT INTO "type_figure" VALUES('demo-act-000001','grade_family',NULL,'electrographite');
INSERT INTO "type_figure" VALUES('demo-act-000001','hangs_load',NULL,'yes');
INSERT INTO "type_figure" VALUES('demo-act-000001','holder_gap_mm',2.2,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','limit_mm',14.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','limit_source',NULL,'maker');
INSERT INTO "type_figure" VALUES('demo-act-000001','mass_kg',148.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','new_mm',32.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','poles',4.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','rated_a',38.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','rated_rpm',1450.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','rated_v',220.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','slot_width_mm',0.95,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','thickness_mm',12.5,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','track_mm',58.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','undercut_mm',1.1,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','width_mm',25.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','winding',NULL,'wave');
INSERT INTO "type_figure" VALUES('demo-act-000002','bars',28.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','commutator_d_mm',30.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000002','construction',NULL,'universal');
INSERT INTO "type_figure" VALUES('demo-act-000002','expected_life_units',340.0,NULL);
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
CREATE TABLE "use_entry" (
    id text primary key,
    motor_id text not null references motor (id),
    seq integer not null,
    at text not null,
    total_units real not null,
    counter_units real not null check (counter_units >= 0),
    typed text not null,
    event text not null,
    noted integer not null default 0 check (noted in (0, 1)),
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
INSERT INTO "use_entry" VALUES('demo-act-002956.use','demo-act-002956',1,'2025-05-13T08:14:00',0.0,0.0,'0','first',0,NULL,'demo-act-002956');
INSERT INTO "use_entry" VALUES('demo-act-002957','demo-act-002956',2,'2025-06-17T08:46:00',51.0,51.0,'51','',0,NULL,'demo-act-002957');
INSERT INTO "use_entry" VALUES('demo-act-002958','demo-act-002956',3,'2025-07-22T08:26:00',71.0,71.0,'71','',0,NULL,'demo-act-002958');
INSERT INTO "use_entry" VALUES('demo-act-002963','demo-act-002956',4,'2025-08-26T08:07:00',71.0,71.0,'71','',0,NULL,'demo-act-002963');
INSERT INTO "use_entry" VALUES('demo-act-002964','demo-act-002956',5,'2025-09-30T08:15:00',103.0,103.0,'103','',0,NULL,'demo-act-002964');
INSERT INTO "use_entry" VALUES('demo-act-002965.use','demo-act-002956',6,'2025-10-28T08:43:00',131.0,131.0,'131','',0,NULL,'demo-act-002965');
INSERT INTO "use_entry" VALUES('demo-act-002969','demo-act-002956',7,'2025-11-04T08:01:00',138.0,138.0,'138','',0,NULL,'demo-act-002969');
INSERT INTO "use_entry" VALUES('demo-act-002970','demo-act-002956',8,'2025-12-09T08:03:00',172.0,172.0,'172','',0,NULL,'demo-act-002970');
INSERT INTO "use_entry" VALUES('demo-act-002971','demo-act-002956',9,'2026-01-13T08:46:00',213.0,213.0,'213','',0,NULL,'demo-act-002971');
INSERT INTO "use_entry" VALUES('demo-act-002972.use','demo-act-002956',10,'2026-01-20T08:49:00',222.0,222.0,'222','',0,NULL,'demo-act-002972');
INSERT INTO "use_entry" VALUES('demo-act-002976','demo-act-002956',11,'2026-02-17T08:29:00',256.0,256.0,'256','',0,NULL,'demo-act-002976');
INSERT INTO "use_entry" VALUES('demo-act-002977.use','demo-act-002956',12,'2026-03-10T08:08:00',280.0,280.0,'280','',0,NULL,'demo-act-002977');
INSERT INTO "use_entry" VALUES('demo-act-002978','demo-act-002956',13,'2026-03-24T08:06:00',296.0,296.0,'296','',0,NULL,'demo-act-002978');
INSERT INTO "use_entry" VALUES('demo-act-002979.use','demo-act-002956',14,'2026-04-14T08:44:00',322.0,322.0,'322','',0,NULL,'demo-act-002979');
INSERT INTO "use_entry" VALUES('demo-act-002983','demo-act-002956',15,'2026-04-28T08:30:00',341.0,341.0,'341','',0,NULL,'demo-act-002983');
INSERT INTO "use_entry" VALUES('demo-act-002984','demo-act-002956',16,'2026-06-02T08:01:00',393.0,393.0,'393','',0,NULL,'demo-act-002984');
INSERT INTO "use_entry" VALUES('demo-act-002985.use','demo-act-002956',17,'2026-07-07T08:40:00',438.0,438.0,'438','',0,NULL,'demo-act-002985');
INSERT INTO "use_entry" VALUES('demo-act-002989','demo-act-002956',18,'2026-08-11T08:01:00',438.0,438.0,'438','',0,NULL,'demo-act-002989');
INSERT INTO "use_entry" VALUES('demo-act-002990','demo-act-002956',19,'2026-09-15T08:12:00',454.0,454.0,'454','',0,NULL,'demo-act-002990');
INSERT INTO "use_entry" VALUES('demo-act-002991.use','demo-act-002956',20,'2026-09-29T08:11:00',468.0,468.0,'468','',0,NULL,'demo-act-002991');
INSERT INTO "use_entry" VALUES('demo-act-002995','demo-act-002956',21,'2026-10-20T08:33:00',492.0,492.0,'492','',0,NULL,'demo-act-002995');
INSERT INTO "use_entry" VALUES('demo-act-002996.use','demo-act-002956',22,'2026-11-24T08:26:00',526.0,526.0,'526','',0,NULL,'demo-act-002996');
CREATE INDEX act_by_motor on act (motor_id, seq);
CREATE INDEX act_by_job on act (job, seq);
CREATE INDEX motor_by_type on motor (type_id);
CREATE UNIQUE INDEX rule_override_now on rule_override (rule_id, scope, scope_id) where ended_act_id is null;
CREATE INDEX standing_rules on standing (rules_seq);
CREATE INDEX past_set_by_motor on past_set (motor_id);
CREATE INDEX forecast_made_by_set on forecast_made (set_id);
CREATE INDEX policy_by_scope on policy (scope, scope_id) where struck_act_id is null;
CREATE INDEX standing_outlook on standing (early_on, motor_id);
CREATE INDEX standing_counts on standing (early_on, look_on, stage, motor_id);
CREATE INDEX standing_look on standing (look_on, motor_id);
CREATE INDEX entry_by_field on entry (field) where replaced_by is null;
CREATE INDEX person_key on person (name_key);
CREATE INDEX motor_type_key on motor_type (name_key);
CREATE INDEX motor_key on motor (tag_key);
CREATE INDEX motor_place on motor (place_key);
CREATE INDEX standing_place on standing (place_key, early_on, look_on, motor_id);
CREATE UNIQUE INDEX sheet_open on sheet (motor_id) where signed_at is null;
CREATE INDEX sheet_unsigned on sheet (at) where signed_at is null;
CREATE UNIQUE INDEX entry_now on entry (sheet_id, field, place, sight) where replaced_by is null;
CREATE UNIQUE INDEX reading_now on reading (round_id, position_number, sight) where replaced_by is null;
CREATE UNIQUE INDEX finding_now on finding (round_id, position_number, seen, sight) where struck_act_id is null;
CREATE INDEX life_standing on life (motor_id) where ended_act_id is null;
CREATE INDEX life_by_sheet on life (sheet_id);
CREATE INDEX life_ended on life (ended_sheet_id);
CREATE INDEX standing_plan on standing (plan_on, motor_id);
CREATE INDEX standing_change on standing (change_on, motor_id);
CREATE INDEX standing_order on standing (rank desc, due, motor_id, look_on, plan_on, change_on);
CREATE INDEX use_entry_by_motor on use_entry (motor_id, at, seq);
CREATE INDEX use_entry_noted on use_entry (act_id) where noted = 1;
CREATE INDEX brush_set_noted on brush_set (act_id) where noted = 1;
CREATE INDEX round_by_motor on round (motor_id, at, seq);
CREATE UNIQUE INDEX round_open on round (motor_id) where finished_at is null;
CREATE INDEX round_by_set on round (set_id);
CREATE INDEX round_by_sheet on round (sheet_id);
CREATE INDEX round_noted on round (act_id) where noted = 1;
CREATE INDEX note_batch_digest on note_batch (digest) where struck_act_id is null;
CREATE INDEX entry_written on entry (sheet_id, typed)
    where replaced_by is null and value_in_si_unit is null and length(typed) > 4;
COMMIT;
