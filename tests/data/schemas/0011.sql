pragma application_id = 1315926646;
pragma user_version = 11;
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
INSERT INTO "act" VALUES('demo-act-002977',2977,'2025-05-13T08:14:00','person-3-of-demo','add a motor','demo-act-002977','696e8b183077ee06a7546f43a6eee894e19c45c939e7f101aa2afd40f5a25483','demo-act-002977','{}','{"tag": "A-10", "name": "Haze fan", "figures": {"thickness_mm": 6.3, "width_mm": 11.0, "new_mm": 24.0, "expected_life_units": 1200.0, "instrument": "digital-caliper", "limit_mm": 9.0, "grade_family": "resin-bonded", "limit_source": "maker"}}',NULL);
INSERT INTO "act" VALUES('demo-act-002978',2978,'2025-06-17T08:46:00','person-1-of-demo','log use','demo-act-002977','bf2067cede417f6830c8e0fd2c6dec1aeb2fe343c0c9716e65f4bf3d306b6248','demo-act-002978','{"counter": 0.0, "total": 0.0, "day": "2025-05-13"}','{"counter": 51.0, "total": 51.0, "typed": "51", "day": "2025-06-17", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002979',2979,'2025-07-22T08:26:00','person-2-of-demo','log use','demo-act-002977','336854ab0a1d8a692b0aabb81aa32f0157265f80410130e72f912d208d56ce3a','demo-act-002979','{"counter": 51.0, "total": 51.0, "day": "2025-06-17"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-07-22", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002980',2980,'2025-08-05T08:19:00','person-3-of-demo','open a sheet','demo-act-002977','2010385b6be1defccfa54101dd03737ddd79fdbb0f8f77efa4984452ac167992','demo-act-002980','{}','{"set": 1, "kind": "check", "counter": 71.0, "total": 71.0, "sheet": 1, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002981',2981,'2025-08-05T08:21:00','person-3-of-demo','measure','demo-act-002977','896d0cc25e16bf6c05dd74176d040cfcf3eee8de029348f3fb884b3a757c6992','demo-act-002981','{}','{"position": "A", "typed": "22.77", "length_mm": 22.77, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002982',2982,'2025-08-05T08:22:00','person-3-of-demo','measure','demo-act-002977','57d795141d94018115255c81fff1e29b8a71b84d9ef65d8761679a8d57c691a6','demo-act-002982','{}','{"position": "B", "typed": "22.8", "length_mm": 22.8, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002983',2983,'2025-08-05T08:49:00','person-3-of-demo','sign a sheet','demo-act-002977','8e9d5e7177bf8cc152ac6a838d94cb5131b3ca1825e0a335bd6c44fb7933dda1','demo-act-002977','{}','{"sheet": 1, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002984',2984,'2025-08-26T08:07:00','person-3-of-demo','log use','demo-act-002977','336854ab0a1d8a692b0aabb81aa32f0157265f80410130e72f912d208d56ce3a','demo-act-002984','{"counter": 71.0, "total": 71.0, "day": "2025-07-22"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-08-26", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002985',2985,'2025-09-30T08:15:00','person-1-of-demo','log use','demo-act-002977','8b3c66283b526e302396002646d4a1fa7cbba1e5f13d89c66fbbb1ddb43f0f30','demo-act-002985','{"counter": 71.0, "total": 71.0, "day": "2025-08-26"}','{"counter": 103.0, "total": 103.0, "typed": "103", "day": "2025-09-30", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002986',2986,'2025-10-28T08:43:00','person-2-of-demo','open a sheet','demo-act-002977','dc8d0036980c1f2bdf2b4e9fd831646039c1cc8cb4c8e59a18d2aee18b5b9da2','demo-act-002986','{}','{"set": 1, "kind": "check", "counter": 131.0, "total": 131.0, "sheet": 2, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002987',2987,'2025-10-28T08:45:00','person-2-of-demo','measure','demo-act-002977','363caed0dc3e6b1b81e8614c9a0e3b7b24f1bdfa1ff2fea8f01d679d8296c0de','demo-act-002987','{}','{"position": "A", "typed": "22.07", "length_mm": 22.07, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002988',2988,'2025-10-28T08:46:00','person-2-of-demo','measure','demo-act-002977','26c691c6e5edd2cbcd1490ef3f4ba4934f44cccbcd210b693430a63e41a2d901','demo-act-002988','{}','{"position": "B", "typed": "22.12", "length_mm": 22.12, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002989',2989,'2025-10-28T09:13:00','person-2-of-demo','sign a sheet','demo-act-002977','fae8f4b6774946485827a1cebb21a1b6aee1744164c9f310867c457e426c4c34','demo-act-002977','{}','{"sheet": 2, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002990',2990,'2025-11-04T08:01:00','person-3-of-demo','log use','demo-act-002977','bdb01052e892474d5e9ce1fc755244a5e5f598b38a11a037f822d5cb10fdb3e1','demo-act-002990','{"counter": 131.0, "total": 131.0, "day": "2025-10-28"}','{"counter": 138.0, "total": 138.0, "typed": "138", "day": "2025-11-04", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002991',2991,'2025-12-09T08:03:00','person-1-of-demo','log use','demo-act-002977','ad1f52280cee943b87ea66ebb738d811c6367e1df40d64cb838a318c56fc3ebc','demo-act-002991','{"counter": 138.0, "total": 138.0, "day": "2025-11-04"}','{"counter": 172.0, "total": 172.0, "typed": "172", "day": "2025-12-09", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002992',2992,'2026-01-13T08:46:00','person-2-of-demo','log use','demo-act-002977','89221cfa1d1b170671a446c400cac025308cbec5515a41ea3b345bb028859046','demo-act-002992','{"counter": 172.0, "total": 172.0, "day": "2025-12-09"}','{"counter": 213.0, "total": 213.0, "typed": "213", "day": "2026-01-13", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002993',2993,'2026-01-20T08:49:00','person-2-of-demo','open a sheet','demo-act-002977','0824abfde8d4ee51e39de240ad39506465709b41d33af010d7b27e91e68a47de','demo-act-002993','{}','{"set": 1, "kind": "check", "counter": 222.0, "total": 222.0, "sheet": 3, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002994',2994,'2026-01-20T08:51:00','person-2-of-demo','measure','demo-act-002977','458698e355618bb130d52aa885f7405bc9de1c8fbaec805ecf3612fde3f63a07','demo-act-002994','{}','{"position": "A", "typed": "21.1", "length_mm": 21.1, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002995',2995,'2026-01-20T08:52:00','person-2-of-demo','measure','demo-act-002977','a8cf03f5cfb3dd7baa460549bc591f0549e8291d8b8cb5c00c7ea196b1f99f9e','demo-act-002995','{}','{"position": "B", "typed": "21.16", "length_mm": 21.16, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002996',2996,'2026-01-20T09:19:00','person-2-of-demo','sign a sheet','demo-act-002977','6f7638563507c868e5efd89cd9b77f10efc6be17baf82f652594c79a8c2cc296','demo-act-002977','{}','{"sheet": 3, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002997',2997,'2026-02-17T08:29:00','person-3-of-demo','log use','demo-act-002977','e133f11cfdc105ee4112dbb9eea8b44ce6d32db07f689088bbae75e6ddd3b0c4','demo-act-002997','{"counter": 222.0, "total": 222.0, "day": "2026-01-20"}','{"counter": 256.0, "total": 256.0, "typed": "256", "day": "2026-02-17", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002998',2998,'2026-03-10T08:08:00','person-1-of-demo','fit a new set','demo-act-002977','145d0fe082426e4197bc367af088037d8e3f3b9a05eb5efd8f38e597a130d804','demo-act-002998','{"set": 1, "ran": 280.0}','{"set": 2, "reason": "with other work", "lengths_mm": {"A": 23.88, "B": 24.01}}',NULL);
INSERT INTO "act" VALUES('demo-act-002999',2999,'2026-03-24T08:06:00','person-1-of-demo','log use','demo-act-002977','eace4ed18f1bd871b4fed1b568134cb76911958de46c739ee4bebf6440c35806','demo-act-002999','{"counter": 280.0, "total": 280.0, "day": "2026-03-10"}','{"counter": 296.0, "total": 296.0, "typed": "296", "day": "2026-03-24", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003000',3000,'2026-04-14T08:44:00','person-2-of-demo','open a sheet','demo-act-002977','1a6b79542ae28122401f801286972a3f74377bab653eff6e29712bc179d0f733','demo-act-003000','{}','{"set": 2, "kind": "check", "counter": 322.0, "total": 322.0, "sheet": 4, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-003001',3001,'2026-04-14T08:46:00','person-2-of-demo','measure','demo-act-002977','3e134e7b093676733d4b5654d2dbb040af7cad462a33cfcc45efe3d8f4284daa','demo-act-003001','{}','{"position": "A", "typed": "23.37", "length_mm": 23.37, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003002',3002,'2026-04-14T08:47:00','person-2-of-demo','measure','demo-act-002977','081ab924fd5b99ead173591fd6f6493f9ee2c1438ededf95d538af6ee05f5e03','demo-act-003002','{}','{"position": "B", "typed": "23.3", "length_mm": 23.3, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003003',3003,'2026-04-14T09:14:00','person-2-of-demo','sign a sheet','demo-act-002977','fff8908b46037cdcb0d97b3d4e4aaa1a5b156f8c5144edf9651825c139406c74','demo-act-002977','{}','{"sheet": 4, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003004',3004,'2026-04-28T08:30:00','person-2-of-demo','log use','demo-act-002977','0a4bf823ba80c65d7a756745206cc04fc6f9ffa363190e881eb0e2b334e0efea','demo-act-003004','{"counter": 322.0, "total": 322.0, "day": "2026-04-14"}','{"counter": 341.0, "total": 341.0, "typed": "341", "day": "2026-04-28", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003005',3005,'2026-06-02T08:01:00','person-1-of-demo','log use','demo-act-002977','01dfee031957191358eb077feba1fb0330f4ee629e70432510d34ac69163c0dc','demo-act-003005','{"counter": 341.0, "total": 341.0, "day": "2026-04-28"}','{"counter": 393.0, "total": 393.0, "typed": "393", "day": "2026-06-02", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003006',3006,'2026-07-07T08:40:00','person-2-of-demo','open a sheet','demo-act-002977','91cc615d8f9f4a132f7d3c35fcae1dcc8dd0cf6eaf4544866e9e03a7c17386f1','demo-act-003006','{}','{"set": 2, "kind": "check", "counter": 438.0, "total": 438.0, "sheet": 5, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-003007',3007,'2026-07-07T08:42:00','person-2-of-demo','measure','demo-act-002977','fbf633e0e25b19c58570bdc2e047e665c94ee24fc48413ac9f875a945f0c0155','demo-act-003007','{}','{"position": "A", "typed": "22.08", "length_mm": 22.08, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003008',3008,'2026-07-07T08:43:00','person-2-of-demo','measure','demo-act-002977','8b6fd4fe2a97c423fd11942ccaa8361ba98d55009f1007a102b15edb604da25e','demo-act-003008','{}','{"position": "B", "typed": "21.94", "length_mm": 21.94, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003009',3009,'2026-07-07T09:10:00','person-2-of-demo','sign a sheet','demo-act-002977','42852ff141cb25d59ce022604b41710ed2690f1282295c82820bb36ce6f190f7','demo-act-002977','{}','{"sheet": 5, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003010',3010,'2026-08-11T08:01:00','person-3-of-demo','log use','demo-act-002977','ee6e8b370c06999bb1cea5b625c40346c4d79facb634c5627bb94f522b75667a','demo-act-003010','{"counter": 438.0, "total": 438.0, "day": "2026-07-07"}','{"counter": 438.0, "total": 438.0, "typed": "438", "day": "2026-08-11", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003011',3011,'2026-09-15T08:12:00','person-1-of-demo','log use','demo-act-002977','e08d26498e6ea9cf7e02ebda40884aa13c80dbefb0e0729cb981e619c8beb289','demo-act-003011','{"counter": 438.0, "total": 438.0, "day": "2026-08-11"}','{"counter": 454.0, "total": 454.0, "typed": "454", "day": "2026-09-15", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003012',3012,'2026-09-29T08:11:00','person-1-of-demo','open a sheet','demo-act-002977','9783e39791f8d4bacb76f68f345b87593583299b31b31e20409fdb4a76eb81d6','demo-act-003012','{}','{"set": 2, "kind": "check", "counter": 468.0, "total": 468.0, "sheet": 6, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-003013',3013,'2026-09-29T08:13:00','person-1-of-demo','measure','demo-act-002977','0c40a110a57d579a6d40e6e133ecb31eb30fec7f9bf95a353d5312a2a9e4e96b','demo-act-003013','{}','{"position": "A", "typed": "21.75", "length_mm": 21.75, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003014',3014,'2026-09-29T08:14:00','person-1-of-demo','measure','demo-act-002977','59778e5cfd6b593ee9039b75ec7fd4c70fc225d74dab671857afc7c89b3d4df3','demo-act-003014','{}','{"position": "B", "typed": "21.64", "length_mm": 21.64, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003015',3015,'2026-09-29T08:41:00','person-1-of-demo','sign a sheet','demo-act-002977','1e356632e6a29b839350c6e0a44fe4e31f484cbdb2cb0c0235f7453b9b136f1b','demo-act-002977','{}','{"sheet": 6, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003016',3016,'2026-10-20T08:33:00','person-2-of-demo','log use','demo-act-002977','2b27f88cf01d4ec4978677e44ddd99131bd7bc261835d27d85746bfcd5fba5f9','demo-act-003016','{"counter": 468.0, "total": 468.0, "day": "2026-09-29"}','{"counter": 492.0, "total": 492.0, "typed": "492", "day": "2026-10-20", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003017',3017,'2026-11-24T08:26:00','person-3-of-demo','open a sheet','demo-act-002977','b7d3a661f5572e4337c5f8439125dd88d682055bd9d0eb04ec9758976119eaf5','demo-act-003017','{}','{"set": 2, "kind": "check", "counter": 526.0, "total": 526.0, "sheet": 7, "look": "full"}',NULL);
INSERT INTO "act" VALUES('demo-act-003018',3018,'2026-11-24T08:27:00','person-3-of-demo','enter','demo-act-002977','6d3c95275c3120035c6664561e225735d9b7b47ef76e4e0d211a302d0d6ea2c1','demo-act-003018','{}','{"field": "complaint", "place": 0, "typed": "tingles when it is touched"}',NULL);
INSERT INTO "act" VALUES('demo-act-003019',3019,'2026-11-24T08:28:00','person-3-of-demo','enter','demo-act-002977','f724dd0372d4318a99122ef5e8ee1101c185909f433bbbfa5b822da5796ec380','demo-act-003019','{}','{"field": "urgency", "place": 0, "typed": "now"}',NULL);
INSERT INTO "act" VALUES('demo-act-003020',3020,'2026-11-24T08:29:00','person-3-of-demo','enter','demo-act-002977','1c5b1368bc9a82841a957289257f98974e9ff5f08ab430e06467f422f25e8aa8','demo-act-003020','{}','{"field": "step.safe.dead", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003021',3021,'2026-11-24T08:30:00','person-3-of-demo','enter','demo-act-002977','028c8e2b08997c15d1a64db33c03c23c809ed6dacfcc3653355a85c9421cd317','demo-act-003021','{}','{"field": "step.safe.still", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003022',3022,'2026-11-24T08:31:00','person-3-of-demo','enter','demo-act-002977','3cd04450db5d29d4da5686b7f6ca2968bd1791f9d10745aef7b4c10b8413adf2','demo-act-003022','{}','{"field": "step.safe.plug", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003023',3023,'2026-11-24T08:32:00','person-3-of-demo','enter','demo-act-002977','92032104b0ad2cf675204d070e8a83c577bb39dc3c16bc36a8eccc651d126f76','demo-act-003023','{}','{"field": "step.safe.laid", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003024',3024,'2026-11-24T08:33:00','person-3-of-demo','enter','demo-act-002977','f0cc45f7918129f8af5e615d9e1ad65e9608b9ec4854ab6eb2789665b447520b','demo-act-003024','{}','{"field": "step.safe.capacitors", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003025',3025,'2026-11-24T08:34:00','person-3-of-demo','enter','demo-act-002977','b681bc55842fa1712ece7e2afc9407b8e243d77f17b0d17233982999f9495ca4','demo-act-003025','{}','{"field": "step.safe.dust", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003026',3026,'2026-11-24T08:35:00','person-3-of-demo','enter','demo-act-002977','164198ec5bb367772e6c30cf80e27751b0a8d1cd618ffedfa133638aba4a4c6b','demo-act-003026','{}','{"field": "safe.method", "place": 0, "typed": "unplugged"}',NULL);
INSERT INTO "act" VALUES('demo-act-003027',3027,'2026-11-24T08:36:00','person-3-of-demo','enter','demo-act-002977','1ca5e8efe931f462ba2044c7ad68933fb90f28dc291bbbb0ccb3e8ef575f72a8','demo-act-003027','{}','{"field": "state", "place": 0, "typed": "opened"}',NULL);
INSERT INTO "act" VALUES('demo-act-003028',3028,'2026-11-24T08:37:00','person-3-of-demo','measure','demo-act-002977','e807da41ab3be8b3fc33c9efb0eec4862c12c35837128c3ee5b9671ee1e3b04b','demo-act-003028','{}','{"position": "A", "typed": "21.17", "length_mm": 21.17, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003029',3029,'2026-11-24T08:38:00','person-3-of-demo','measure','demo-act-002977','ed675cdb0ed1bc73055cc76dfda600624bbdccdd980729c3fd23b320bb8e45e3','demo-act-003029','{}','{"position": "B", "typed": "20.93", "length_mm": 20.93, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003030',3030,'2026-11-24T08:39:00','person-3-of-demo','enter','demo-act-002977','1a4143dbe704c115fa8748bf490dd6c2cd2a8f7956ee9743a6d3fd221ed4b854','demo-act-003030','{}','{"field": "earth-ohm", "place": 0, "typed": "1.4"}',NULL);
INSERT INTO "act" VALUES('demo-act-003031',3031,'2026-11-24T08:40:00','person-3-of-demo','enter','demo-act-002977','8761d899c54f821dfe75737a1336140b8808dce4bd1bcc8894480fcde7f28e31','demo-act-003031','{}','{"field": "seen.commutator.slots", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003032',3032,'2026-11-24T08:41:00','person-3-of-demo','enter','demo-act-002977','f40eb267fbebe887524a61427bb2d3a9cf397b4bdb0da166b50be33a6db00344','demo-act-003032','{}','{"field": "sound.windings", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003033',3033,'2026-11-24T08:42:00','person-3-of-demo','enter','demo-act-002977','35ccf9eb573e5942921f5dbfaea7b1d3f335867171713a1a232d6fc49784d930','demo-act-003033','{}','{"field": "sound.drive", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003034',3034,'2026-11-24T08:43:00','person-3-of-demo','enter','demo-act-002977','3ad69215ed15f6e7858cc147c6ba24dbf0330399059fcadca6bb74fa22f02758','demo-act-003034','{}','{"field": "looked.springs", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003035',3035,'2026-11-24T08:44:00','person-3-of-demo','enter','demo-act-002977','28043280ae0a0fc7d26570b782bf7a87d17dc07d179d9d4b01b0983debdcd7bf','demo-act-003035','{}','{"field": "looked.holders", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003036',3036,'2026-11-24T08:45:00','person-3-of-demo','enter','demo-act-002977','7c47f8f8fe097251c43e0eb54198a9bb1b8a3f02ad23b54ad9b4898ef2e5286b','demo-act-003036','{}','{"field": "decide.earth.open", "place": 0, "typed": "now"}',NULL);
INSERT INTO "act" VALUES('demo-act-003037',3037,'2026-11-24T08:46:00','person-3-of-demo','enter','demo-act-002977','18b887fbb44bc54e0fcd65f6d9847c5114bfe33cbb9d900610615a79b20b3053','demo-act-003037','{}','{"field": "task.earth", "place": 0, "typed": "yes", "took": "20", "parts": "star washer M5, 1"}',NULL);
INSERT INTO "act" VALUES('demo-act-003212',3212,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'7bef20a2e15d206f5f8830ca9001fb5e321b3ccab7a363d49c47ae2743f600d8','demo-act-003212','{}','{"window": "Summer, house dark", "first": "2023-07-01", "last": "2023-08-31", "yearly": true, "place": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003213',3213,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'ccfec9fc9a594e997e5d84a7b8a56ab915a2f3d6bc4cbae4cf2b57511bcea4ee','demo-act-003213','{}','{"window": "Get-in of the winter piece", "first": "2026-12-07", "last": "2026-12-13", "yearly": false, "place": "stage"}',NULL);
INSERT INTO "act" VALUES('demo-act-003214',3214,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'2ebd376e3de091a53988d9f1035398c48a6ad2b091abcabe5335680ef366ed31','demo-act-003214','{}','{"window": "February refit", "first": "2027-02-08", "last": "2027-02-21", "yearly": false, "place": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003216',3216,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'cfcaf0525cefbe039d85bc61c4b331984b957dca7df693a69d41b020de4d8d7a','fit.clearance-most','{"value": null}','{"value": 0.25, "scope": "site", "of": "", "why": "the house keeps brushes tighter after two chipped sets"}',NULL);
INSERT INTO "act" VALUES('demo-act-003217',3217,'2026-10-06T00:00:00','person-2-of-demo','change a rule',NULL,'0fae4b58f739cc50716e6a0a9f86953d138e81bb7074dc85fe32f119dd6f7251','school.old-or-new','{"value": null}','{"value": "keep", "scope": "motor", "of": "demo-act-002821", "why": "no such carbon is made any more, and it runs well"}',NULL);
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
INSERT INTO "brush_set" VALUES('demo-act-002977.set','demo-act-002977',1,'2025-05-13T08:14:00',0.0,1,NULL,NULL,NULL,NULL,'2026-03-10T08:08:00',280.0,'with other work',NULL,'','','[]',0,'',NULL,NULL,'demo-act-002977');
INSERT INTO "brush_set" VALUES('demo-act-002998','demo-act-002977',2,'2026-03-10T08:08:00',280.0,1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,'','','[]',0,'',NULL,NULL,'demo-act-002998');
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
INSERT INTO "entry" VALUES('demo-act-002980.safe','demo-act-002980','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002980','found',0);
INSERT INTO "entry" VALUES('demo-act-002983.confirm.service','demo-act-002980','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002983','found',0);
INSERT INTO "entry" VALUES('demo-act-002986.safe','demo-act-002986','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002986','found',0);
INSERT INTO "entry" VALUES('demo-act-002989.confirm.service','demo-act-002986','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002989','found',0);
INSERT INTO "entry" VALUES('demo-act-002993.safe','demo-act-002993','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002993','found',0);
INSERT INTO "entry" VALUES('demo-act-002996.confirm.service','demo-act-002993','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002996','found',0);
INSERT INTO "entry" VALUES('demo-act-003000.safe','demo-act-003000','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-003000','found',0);
INSERT INTO "entry" VALUES('demo-act-003003.confirm.service','demo-act-003000','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-003003','found',0);
INSERT INTO "entry" VALUES('demo-act-003006.safe','demo-act-003006','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-003006','found',0);
INSERT INTO "entry" VALUES('demo-act-003009.confirm.service','demo-act-003006','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-003009','found',0);
INSERT INTO "entry" VALUES('demo-act-003012.safe','demo-act-003012','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-003012','found',0);
INSERT INTO "entry" VALUES('demo-act-003015.confirm.service','demo-act-003012','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-003015','found',0);
INSERT INTO "entry" VALUES('demo-act-003018','demo-act-003017','complaint',0,'tingles when it is touched','tingles when it is touched',NULL,'{}',NULL,'demo-act-003018','found',0);
INSERT INTO "entry" VALUES('demo-act-003019','demo-act-003017','urgency',0,'now','now',NULL,'{}',NULL,'demo-act-003019','found',0);
INSERT INTO "entry" VALUES('demo-act-003020','demo-act-003017','step.safe.dead',0,'yes','yes',NULL,'{}',NULL,'demo-act-003020','found',0);
INSERT INTO "entry" VALUES('demo-act-003021','demo-act-003017','step.safe.still',0,'yes','yes',NULL,'{}',NULL,'demo-act-003021','found',0);
INSERT INTO "entry" VALUES('demo-act-003022','demo-act-003017','step.safe.plug',0,'yes','yes',NULL,'{}',NULL,'demo-act-003022','found',0);
INSERT INTO "entry" VALUES('demo-act-003023','demo-act-003017','step.safe.laid',0,'yes','yes',NULL,'{}',NULL,'demo-act-003023','found',0);
INSERT INTO "entry" VALUES('demo-act-003024','demo-act-003017','step.safe.capacitors',0,'yes','yes',NULL,'{}',NULL,'demo-act-003024','found',0);
INSERT INTO "entry" VALUES('demo-act-003025','demo-act-003017','step.safe.dust',0,'yes','yes',NULL,'{}',NULL,'demo-act-003025','found',0);
INSERT INTO "entry" VALUES('demo-act-003026','demo-act-003017','safe.method',0,'unplugged','unplugged',NULL,'{}',NULL,'demo-act-003026','found',0);
INSERT INTO "entry" VALUES('demo-act-003027','demo-act-003017','state',0,'opened','opened',NULL,'{}',NULL,'demo-act-003027','found',0);
INSERT INTO "entry" VALUES('demo-act-003030','demo-act-003017','earth-ohm',0,'1.4','',1.4,'{}',NULL,'demo-act-003030','found',0);
INSERT INTO "entry" VALUES('demo-act-003031','demo-act-003017','seen.commutator.slots',0,'yes','yes',NULL,'{}',NULL,'demo-act-003031','found',0);
INSERT INTO "entry" VALUES('demo-act-003032','demo-act-003017','sound.windings',0,'yes','yes',NULL,'{}',NULL,'demo-act-003032','found',0);
INSERT INTO "entry" VALUES('demo-act-003033','demo-act-003017','sound.drive',0,'yes','yes',NULL,'{}',NULL,'demo-act-003033','found',0);
INSERT INTO "entry" VALUES('demo-act-003034','demo-act-003017','looked.springs',0,'yes','yes',NULL,'{}',NULL,'demo-act-003034','found',0);
INSERT INTO "entry" VALUES('demo-act-003035','demo-act-003017','looked.holders',0,'yes','yes',NULL,'{}',NULL,'demo-act-003035','found',0);
INSERT INTO "entry" VALUES('demo-act-003036','demo-act-003017','decide.earth.open',0,'now','now',NULL,'{}',NULL,'demo-act-003036','found',0);
INSERT INTO "entry" VALUES('demo-act-003037','demo-act-003017','task.earth',0,'yes','yes',NULL,'{"took": "20", "parts": "star washer M5, 1"}',NULL,'demo-act-003037','found',0);
CREATE TABLE finding (
    id text primary key,
    round_id text not null references round (id),
    position_number integer not null check (position_number between 1 and 40),
    seen text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
, sight text not null default 'found' check (sight in ('found', 'left')), part text not null default '', grade text not null default '', words text not null default '') strict;
CREATE TABLE forecast (
    motor_id text primary key references motor (id),
    ahead_json text not null
) strict;
INSERT INTO "forecast" VALUES('demo-act-002977','{"visits": 5, "past_sets": 1, "life_units": 1385.9678584668318, "p05_units": 1260.0959228515626, "p10_units": 1336.8512451171875, "p25_units": 1443.7864990234375, "p50_units": 1569.4774780273438, "p75_units": 1698.4779663085938, "p90_units": 1826.4526977539062, "p95_units": 1914.667541503906, "look_units": 1260.0959237420466, "p10_on": "2028-12-22", "p50_on": "2029-12-16", "p90_on": "2031-02-05", "look_on": "2028-10-23", "tail": 0.45321565866470337, "jumped": 0.0009972284315153956, "rate_mm_per_unit": 0.010822761803865433, "worst_position": 2, "seen_units": 526.0, "coarse": false}');
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
INSERT INTO "forecast_made" VALUES('demo-act-002980.found','demo-act-002977.set','demo-act-002977','2025-08-05T08:49:00',1,6.81776586914062477252e+02,7.52932012939453102276e+02,1124.80419921875,1728.52646484375,2.02130932617187409044e+03,6.81776587366592138998e+02,5.04513025283813476562e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002986.found','demo-act-002977.set','demo-act-002977','2025-10-28T09:13:00',2,7.82545587158203147758e+02,8.86018109130859329511e+02,1.17576727294921875004e+03,1.54110172119140634099e+03,1.68394141845703052247e+03,7.82545587533968500792e+02,5.43554544448852539062e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002993.found','demo-act-002977.set','demo-act-002977','2026-01-20T09:19:00',3,936.031494140625,1.00547852172851560231e+03,1.24840112304687500001e+03,1.51892586669921865905e+03,1.61078979492187499998e+03,9.36031497491756454137e+02,6.20682477951049804687e-01);
INSERT INTO "forecast_made" VALUES('demo-act-003000.found','demo-act-002998','demo-act-002977','2026-04-14T09:14:00',2,1.03250067138671874997e+03,1140.3046875,1.72047088623046875001e+03,2.91863659667968750001e+03,3.68167531738280968066e+03,1.03250067767081782224e+03,7.38195896148681640625e-01);
INSERT INTO "forecast_made" VALUES('demo-act-003006.found','demo-act-002998','demo-act-002977','2026-07-07T09:10:00',3,1.14273587036132812501e+03,1.26161860961914067049e+03,1.53892114257812499993e+03,1.87109965820312504538e+03,1.98878895263671847714e+03,1.14273587053839582948e+03,3.24265331029891967773e-01);
INSERT INTO "forecast_made" VALUES('demo-act-003012.found','demo-act-002998','demo-act-002977','2026-09-29T08:41:00',4,1.21051309204101562499e+03,1.30605755615234374994e+03,1.56325823974609375002e+03,1871.8513671875,1.96893559570312459078e+03,1.2105130982085829601e+03,5.24223864078521728515e-01);
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
, part text not null default '', put_by text not null default '', put_since text, moved integer not null default 0, waits_for text not null default '', held_since text) strict;
INSERT INTO "life" VALUES('demo-act-003017.earth.open.0','demo-act-002977','demo-act-003017',0,'earth.open','stop','protective earth 1.4 Ω, allowed 0.1','open','',NULL,'',NULL,NULL,'windings','',NULL,0,'',NULL);
CREATE TABLE motor (
    id text primary key,
    tag text not null unique collate nocase,
    name text not null,
    place text not null,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    type_id text references motor_type (id),
    version integer not null default 1,
    act_id text not null references act (id)
, tag_key text not null default '', sought_key text not null default '', place_key text not null default '', looks_key text not null default '') strict;
INSERT INTO "motor" VALUES('demo-act-002977','A-10','Haze fan','stage left','appliance',NULL,1,'demo-act-002977','a10','a10
hazefan
stageleft','stageleft','alo');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('demo-act-002977','expected_life_units',1200.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002977','grade_family',NULL,'resin-bonded');
INSERT INTO "motor_figure" VALUES('demo-act-002977','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-002977','limit_mm',9.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002977','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('demo-act-002977','new_mm',24.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002977','thickness_mm',6.3,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002977','width_mm',11.0,NULL);
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
INSERT INTO "past_set" VALUES('demo-act-002977.set','demo-act-002977',-4.34836535210075059154e+00,0,0);
CREATE TABLE person (
    id text primary key,
    name text not null unique collate nocase,
    made_at text not null
, name_key text not null default '', looks_key text not null default '') strict;
INSERT INTO "person" VALUES('person-1-of-demo','Ines Torvald','2022-09-06T00:00:00','inestorvald','lnestorvald');
INSERT INTO "person" VALUES('person-2-of-demo','Bram Aldous','2022-09-06T00:00:00','bramaldous','bramaldous');
INSERT INTO "person" VALUES('person-3-of-demo','Maud Celliers','2022-09-06T00:00:00','maudcelliers','maudcelliers');
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
INSERT INTO "position" VALUES('demo-act-002977',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('demo-act-002977',2,'B',270.0,2,'-');
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
INSERT INTO "reading" VALUES('demo-act-002981','demo-act-002980.found',1,'22.77','mm','length','digital-caliper',22.77,22.77,0.05,22.77,22.77,NULL,NULL,'','','',NULL,'demo-act-002981','found');
INSERT INTO "reading" VALUES('demo-act-002982','demo-act-002980.found',2,'22.8','mm','length','digital-caliper',22.8,22.8,0.05,22.8,22.8,NULL,NULL,'','','',NULL,'demo-act-002982','found');
INSERT INTO "reading" VALUES('demo-act-002987','demo-act-002986.found',1,'22.07','mm','length','digital-caliper',22.07,22.07,0.05,22.07,22.07,NULL,NULL,'','','',NULL,'demo-act-002987','found');
INSERT INTO "reading" VALUES('demo-act-002988','demo-act-002986.found',2,'22.12','mm','length','digital-caliper',22.12,22.12,0.05,22.12,22.12,NULL,NULL,'','','',NULL,'demo-act-002988','found');
INSERT INTO "reading" VALUES('demo-act-002994','demo-act-002993.found',1,'21.1','mm','length','digital-caliper',21.1,21.1,0.05,21.1,21.1,NULL,NULL,'','','',NULL,'demo-act-002994','found');
INSERT INTO "reading" VALUES('demo-act-002995','demo-act-002993.found',2,'21.16','mm','length','digital-caliper',21.16,21.16,0.05,21.16,21.16,NULL,NULL,'','','',NULL,'demo-act-002995','found');
INSERT INTO "reading" VALUES('demo-act-002998.1','demo-act-002998.fit',1,'23.88','mm','length','digital-caliper',23.88,23.88,0.05,23.88,23.88,NULL,NULL,'','','',NULL,'demo-act-002998','found');
INSERT INTO "reading" VALUES('demo-act-002998.2','demo-act-002998.fit',2,'24.01','mm','length','digital-caliper',24.01,24.01,0.05,24.01,24.01,NULL,NULL,'','','',NULL,'demo-act-002998','found');
INSERT INTO "reading" VALUES('demo-act-003001','demo-act-003000.found',1,'23.37','mm','length','digital-caliper',23.37,23.37,0.05,23.37,23.37,NULL,NULL,'','','',NULL,'demo-act-003001','found');
INSERT INTO "reading" VALUES('demo-act-003002','demo-act-003000.found',2,'23.3','mm','length','digital-caliper',23.3,23.3,0.05,23.3,23.3,NULL,NULL,'','','',NULL,'demo-act-003002','found');
INSERT INTO "reading" VALUES('demo-act-003007','demo-act-003006.found',1,'22.08','mm','length','digital-caliper',22.08,22.08,0.05,22.08,22.08,NULL,NULL,'','','',NULL,'demo-act-003007','found');
INSERT INTO "reading" VALUES('demo-act-003008','demo-act-003006.found',2,'21.94','mm','length','digital-caliper',21.94,21.94,0.05,21.94,21.94,NULL,NULL,'','','',NULL,'demo-act-003008','found');
INSERT INTO "reading" VALUES('demo-act-003013','demo-act-003012.found',1,'21.75','mm','length','digital-caliper',21.75,21.75,0.05,21.75,21.75,NULL,NULL,'','','',NULL,'demo-act-003013','found');
INSERT INTO "reading" VALUES('demo-act-003014','demo-act-003012.found',2,'21.64','mm','length','digital-caliper',21.64,21.64,0.05,21.64,21.64,NULL,NULL,'','','',NULL,'demo-act-003014','found');
INSERT INTO "reading" VALUES('demo-act-003028','demo-act-003017.found',1,'21.17','mm','length','digital-caliper',21.17,21.17,0.05,21.17,21.17,NULL,NULL,'','','',NULL,'demo-act-003028','found');
INSERT INTO "reading" VALUES('demo-act-003029','demo-act-003017.found',2,'20.93','mm','length','digital-caliper',20.93,20.93,0.05,20.93,20.93,NULL,NULL,'','','',NULL,'demo-act-003029','found');
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
INSERT INTO "round" VALUES('demo-act-002980.found','demo-act-002977','demo-act-002977.set','check','2025-08-05T08:19:00',1,71.0,'2025-08-05T08:49:00','demo-act-002980',0,'',0,NULL,'demo-act-002980');
INSERT INTO "round" VALUES('demo-act-002986.found','demo-act-002977','demo-act-002977.set','check','2025-10-28T08:43:00',2,131.0,'2025-10-28T09:13:00','demo-act-002986',0,'',0,NULL,'demo-act-002986');
INSERT INTO "round" VALUES('demo-act-002993.found','demo-act-002977','demo-act-002977.set','check','2026-01-20T08:49:00',3,222.0,'2026-01-20T09:19:00','demo-act-002993',0,'',0,NULL,'demo-act-002993');
INSERT INTO "round" VALUES('demo-act-002998.fit','demo-act-002977','demo-act-002998','fitting','2026-03-10T08:08:00',4,280.0,'2026-03-10T08:08:00',NULL,0,'',0,NULL,'demo-act-002998');
INSERT INTO "round" VALUES('demo-act-003000.found','demo-act-002977','demo-act-002998','check','2026-04-14T08:44:00',5,322.0,'2026-04-14T09:14:00','demo-act-003000',0,'',0,NULL,'demo-act-003000');
INSERT INTO "round" VALUES('demo-act-003006.found','demo-act-002977','demo-act-002998','check','2026-07-07T08:40:00',6,438.0,'2026-07-07T09:10:00','demo-act-003006',0,'',0,NULL,'demo-act-003006');
INSERT INTO "round" VALUES('demo-act-003012.found','demo-act-002977','demo-act-002998','check','2026-09-29T08:11:00',7,468.0,'2026-09-29T08:41:00','demo-act-003012',0,'',0,NULL,'demo-act-003012');
INSERT INTO "round" VALUES('demo-act-003017.found','demo-act-002977','demo-act-002998','check','2026-11-24T08:26:00',8,526.0,NULL,'demo-act-003017',0,'',0,NULL,'demo-act-003017');
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
INSERT INTO "rule_override" VALUES('demo-act-003216','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-003216','');
INSERT INTO "rule_override" VALUES('demo-act-003217','school.old-or-new','motor','demo-act-002821',0.0,'no such carbon is made any more, and it runs well',NULL,'demo-act-003217','keep');
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
INSERT INTO "sheet" VALUES('demo-act-002980','demo-act-002977',1,'quick','2025-08-05T08:19:00','2025-08-05T08:49:00','{"person": "Maud Celliers", "sentence": "Run on. Brush A has 13.8 mm to its limit, 92% of its usable carbon.", "figures": [{"value": "1\u202f120 h", "words": "limit about", "beside": "21 May 2028", "until": ""}, {"value": "681 h", "words": "look by", "beside": "30 November 2026", "until": "2026-12-01"}, {"value": "15 February 2027", "words": "plan by", "beside": "", "until": "2026-12-01"}, {"value": "8 in 10", "words": "how sure", "beside": "752 to 1\u202f720 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 92%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 752 and 1\u202f720 h, 1 March 2027 to 16 June 2030, from 1 round and the expected life.", "Look by 681 h, 30 November 2026 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 5 August 2027 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 865 h, plan by 706 h, look again by 468 h.", "Dates from 7.1 h a week (10 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2026-11-30", "look_at": 681.7765873665921, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002980');
INSERT INTO "sheet" VALUES('demo-act-002986','demo-act-002977',2,'quick','2025-10-28T08:43:00','2025-10-28T09:13:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 13.1 mm to its limit, 87% of its usable carbon.", "figures": [{"value": "1\u202f170 h", "words": "limit about", "beside": "15 June 2029", "until": ""}, {"value": "28 October 2027", "words": "look by, for the calendar limit", "beside": "", "until": "2027-10-29"}, {"value": "12 March 2028", "words": "plan by", "beside": "", "until": "2027-10-29"}, {"value": "8 in 10", "words": "how sure", "beside": "886 to 1\u202f540 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 87%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 886 and 1\u202f540 h, 26 March 2028 to 27 April 2031, from 2 rounds and the expected life.", "Look by 782 h, 11 November 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before.", "Look by 28 October 2027 for the calendar limit: 24 months since the last complete look: low use is not health; this comes first.", "Straight line: do not exceed 1\u202f018 h, plan by 840 h, look again by 574 h.", "Dates from 5.5 h a week (24 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2027-10-28", "look_at": null, "look_by": "calendar limit", "sooner": "", "sooner_at": null}','demo-act-002986');
INSERT INTO "sheet" VALUES('demo-act-002993','demo-act-002977',3,'quick','2026-01-20T08:49:00','2026-01-20T09:19:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 12.1 mm to its limit, 81% of its usable carbon.", "figures": [{"value": "1\u202f240 h", "words": "limit about", "beside": "14 March 2029", "until": ""}, {"value": "936 h", "words": "look by", "beside": "30 December 2027", "until": "2027-12-31"}, {"value": "1 March 2028", "words": "plan by", "beside": "", "until": "2027-12-31"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f000 to 1\u202f510 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 81%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f000 and 1\u202f510 h, 15 March 2028 to 29 June 2030, from 3 rounds and the expected life.", "Look by 936 h, 30 December 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 20 January 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f148 h, plan by 963 h, look again by 685 h.", "Dates from 6.2 h a week (36 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2027-12-30", "look_at": 936.0314974917565, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-002993');
INSERT INTO "sheet" VALUES('demo-act-003000','demo-act-002977',4,'quick','2026-04-14T08:44:00','2026-04-14T09:14:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 14.3 mm to its limit, 95% of its usable carbon.", "figures": [{"value": "1\u202f720 h", "words": "limit about", "beside": "11 May 2030", "until": ""}, {"value": "1\u202f030 h", "words": "look by", "beside": "22 February 2028", "until": "2028-02-23"}, {"value": "6 July 2028", "words": "plan by", "beside": "", "until": "2028-02-23"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f140 to 2\u202f910 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 95%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f140 and 2\u202f910 h, 20 July 2028 to 16 November 2033, from 2 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f030 h, 22 February 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 14 April 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f167 h, plan by 998 h, look again by 744 h.", "Dates from 6.7 h a week (48 weeks of log).", "Uneven: the wear differs by 33% of its mean, B most. Look at holder, spring and lead there before renewing."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-02-22", "look_at": 1032.5006776708178, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-003000');
INSERT INTO "sheet" VALUES('demo-act-003006','demo-act-002977',5,'quick','2026-07-07T08:40:00','2026-07-07T09:10:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.9 mm to its limit, 86% of its usable carbon.", "figures": [{"value": "1\u202f530 h", "words": "limit about", "beside": "15 July 2029", "until": ""}, {"value": "1\u202f140 h", "words": "look by", "beside": "24 April 2028", "until": "2028-04-25"}, {"value": "30 June 2028", "words": "plan by", "beside": "", "until": "2028-04-25"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f260 to 1\u202f870 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 86%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f260 and 1\u202f870 h, 14 July 2028 to 4 October 2030, from 3 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f140 h, 24 April 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 7 July 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f425 h, plan by 1\u202f228 h, look again by 931 h.", "Dates from 7.0 h a week (55 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-04-24", "look_at": 1142.7358705383958, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-003006');
INSERT INTO "sheet" VALUES('demo-act-003012','demo-act-002977',6,'quick','2026-09-29T08:11:00','2026-09-29T08:41:00','{"person": "Ines Torvald", "sentence": "Run on. Brush B has 12.6 mm to its limit, 84% of its usable carbon.", "figures": [{"value": "1\u202f560 h", "words": "limit about", "beside": "5 October 2029", "until": ""}, {"value": "1\u202f210 h", "words": "look by", "beside": "6 August 2028", "until": "2028-08-07"}, {"value": "3 October 2028", "words": "plan by", "beside": "", "until": "2028-08-07"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f300 to 1\u202f870 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 84%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f300 and 1\u202f870 h, 17 October 2028 to 5 December 2030, from 4 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f210 h, 6 August 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 29 September 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f470 h, plan by 1\u202f270 h, look again by 969 h.", "Dates from 7.0 h a week (57 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-08-06", "look_at": 1210.513098208583, "look_by": "forecast", "sooner": "", "sooner_at": null}','demo-act-003012');
INSERT INTO "sheet" VALUES('demo-act-003017','demo-act-002977',7,'full','2026-11-24T08:26:00',NULL,NULL,'demo-act-003017');
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
INSERT INTO "shutdown" VALUES('demo-act-003212','Summer, house dark','2023-07-01','2023-08-31',1,'',NULL,'demo-act-003212');
INSERT INTO "shutdown" VALUES('demo-act-003213','Get-in of the winter piece','2026-12-07','2026-12-13',0,'stage',NULL,'demo-act-003213');
INSERT INTO "shutdown" VALUES('demo-act-003214','February refit','2027-02-08','2027-02-21',0,'',NULL,'demo-act-003214');
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Lanternmoor Playhouse, engineering shop','2026-11-24','2026-11-28T17:54:20');
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
INSERT INTO "standing" VALUES('demo-act-002977',3217,'stop',7,'2029-12-16','2028-10-23','2029-12-16',11.93,'Measure again: protective earth, lead taken off. Windings and magnets: protective earth 1.4 Ω, allowed 0.1; protective earth joined again, not yet proven.','Done, not proven','windings and magnets','{"new_mm": 24.0, "limit_mm": 9.0, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 21.17, "next_mm": 13.083008319752262, "old": false}, {"label": "B", "length_mm": 20.93, "next_mm": 11.738880304367864, "old": false}]}','2028-12-22','2031-02-05','forecast',49,'stageleft','2028-10-24','2028-10-24','[{"on": "2028-12-08", "grade": "plan", "part": "brushes", "word": "Plan the change", "act": "Plan the change.", "why": "The limit may come by 22 December 2028."}, {"on": "2028-12-15", "grade": "change", "part": "brushes", "word": "Change or measure now", "act": "Change the set or measure it now.", "why": "The limit may come by 22 December 2028."}, {"on": "2028-10-24", "grade": "change", "part": "look", "word": "Change or measure now", "act": "Measure it now, or change the set.", "why": "The look of 23 October 2028 is overdue."}]','[]');
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
INSERT INTO "use_entry" VALUES('demo-act-002977.use','demo-act-002977',1,'2025-05-13T08:14:00',0.0,0.0,'0','first',0,NULL,'demo-act-002977');
INSERT INTO "use_entry" VALUES('demo-act-002978','demo-act-002977',2,'2025-06-17T08:46:00',51.0,51.0,'51','',0,NULL,'demo-act-002978');
INSERT INTO "use_entry" VALUES('demo-act-002979','demo-act-002977',3,'2025-07-22T08:26:00',71.0,71.0,'71','',0,NULL,'demo-act-002979');
INSERT INTO "use_entry" VALUES('demo-act-002984','demo-act-002977',4,'2025-08-26T08:07:00',71.0,71.0,'71','',0,NULL,'demo-act-002984');
INSERT INTO "use_entry" VALUES('demo-act-002985','demo-act-002977',5,'2025-09-30T08:15:00',103.0,103.0,'103','',0,NULL,'demo-act-002985');
INSERT INTO "use_entry" VALUES('demo-act-002986.use','demo-act-002977',6,'2025-10-28T08:43:00',131.0,131.0,'131','',0,NULL,'demo-act-002986');
INSERT INTO "use_entry" VALUES('demo-act-002990','demo-act-002977',7,'2025-11-04T08:01:00',138.0,138.0,'138','',0,NULL,'demo-act-002990');
INSERT INTO "use_entry" VALUES('demo-act-002991','demo-act-002977',8,'2025-12-09T08:03:00',172.0,172.0,'172','',0,NULL,'demo-act-002991');
INSERT INTO "use_entry" VALUES('demo-act-002992','demo-act-002977',9,'2026-01-13T08:46:00',213.0,213.0,'213','',0,NULL,'demo-act-002992');
INSERT INTO "use_entry" VALUES('demo-act-002993.use','demo-act-002977',10,'2026-01-20T08:49:00',222.0,222.0,'222','',0,NULL,'demo-act-002993');
INSERT INTO "use_entry" VALUES('demo-act-002997','demo-act-002977',11,'2026-02-17T08:29:00',256.0,256.0,'256','',0,NULL,'demo-act-002997');
INSERT INTO "use_entry" VALUES('demo-act-002998.use','demo-act-002977',12,'2026-03-10T08:08:00',280.0,280.0,'280','',0,NULL,'demo-act-002998');
INSERT INTO "use_entry" VALUES('demo-act-002999','demo-act-002977',13,'2026-03-24T08:06:00',296.0,296.0,'296','',0,NULL,'demo-act-002999');
INSERT INTO "use_entry" VALUES('demo-act-003000.use','demo-act-002977',14,'2026-04-14T08:44:00',322.0,322.0,'322','',0,NULL,'demo-act-003000');
INSERT INTO "use_entry" VALUES('demo-act-003004','demo-act-002977',15,'2026-04-28T08:30:00',341.0,341.0,'341','',0,NULL,'demo-act-003004');
INSERT INTO "use_entry" VALUES('demo-act-003005','demo-act-002977',16,'2026-06-02T08:01:00',393.0,393.0,'393','',0,NULL,'demo-act-003005');
INSERT INTO "use_entry" VALUES('demo-act-003006.use','demo-act-002977',17,'2026-07-07T08:40:00',438.0,438.0,'438','',0,NULL,'demo-act-003006');
INSERT INTO "use_entry" VALUES('demo-act-003010','demo-act-002977',18,'2026-08-11T08:01:00',438.0,438.0,'438','',0,NULL,'demo-act-003010');
INSERT INTO "use_entry" VALUES('demo-act-003011','demo-act-002977',19,'2026-09-15T08:12:00',454.0,454.0,'454','',0,NULL,'demo-act-003011');
INSERT INTO "use_entry" VALUES('demo-act-003012.use','demo-act-002977',20,'2026-09-29T08:11:00',468.0,468.0,'468','',0,NULL,'demo-act-003012');
INSERT INTO "use_entry" VALUES('demo-act-003016','demo-act-002977',21,'2026-10-20T08:33:00',492.0,492.0,'492','',0,NULL,'demo-act-003016');
INSERT INTO "use_entry" VALUES('demo-act-003017.use','demo-act-002977',22,'2026-11-24T08:26:00',526.0,526.0,'526','',0,NULL,'demo-act-003017');
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
CREATE INDEX person_looks on person (looks_key);
CREATE INDEX motor_looks on motor (looks_key);
COMMIT;
