pragma application_id = 1315926646;
pragma user_version = 15;
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
INSERT INTO "act" VALUES('demo-act-002979',2979,'2025-05-13T08:14:00','person-3-of-demo','add a motor','demo-act-002979','696e8b183077ee06a7546f43a6eee894e19c45c939e7f101aa2afd40f5a25483','demo-act-002979','{}','{"tag": "A-10", "name": "Haze fan", "figures": {"thickness_mm": 6.3, "width_mm": 11.0, "new_mm": 24.0, "expected_life_units": 1200.0, "instrument": "digital-caliper", "limit_mm": 9.0, "grade_family": "resin-bonded", "limit_source": "maker"}}',NULL);
INSERT INTO "act" VALUES('demo-act-002980',2980,'2025-06-17T08:46:00','person-1-of-demo','log use','demo-act-002979','15698e9442157300a142b6ce35178b3cf0a08ad849b5a95dd63f42d497fdf756','demo-act-002980','{"counter": 0.0, "total": 0.0, "day": "2025-05-13"}','{"counter": 51.0, "total": 51.0, "typed": "51", "day": "2025-06-17", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002981',2981,'2025-07-22T08:26:00','person-2-of-demo','log use','demo-act-002979','5d67bce8415813c0b6273fd8f8f92f8e3db04ad51098b4dd7e1e19f86f46f56c','demo-act-002981','{"counter": 51.0, "total": 51.0, "day": "2025-06-17"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-07-22", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002982',2982,'2025-08-05T08:19:00','person-3-of-demo','open a sheet','demo-act-002979','9d020a90bc0676e46c79d91678f014b26fe8c0b4a0ea4bac1d3712d4a9296466','demo-act-002982','{}','{"set": 1, "kind": "check", "counter": 71.0, "total": 71.0, "sheet": 1, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002983',2983,'2025-08-05T08:21:00','person-3-of-demo','measure','demo-act-002979','f926bea0cd56f82ef866d6d2edba80e006d5eb5767b346936b61b6c3df9a19f9','demo-act-002983','{}','{"position": "A", "typed": "22.77", "length_mm": 22.77, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002984',2984,'2025-08-05T08:22:00','person-3-of-demo','measure','demo-act-002979','98635086d86d392115d88dd8dce9a876f633883065d8dbe8ff91e0c36f81c9e9','demo-act-002984','{}','{"position": "B", "typed": "22.8", "length_mm": 22.8, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002985',2985,'2025-08-05T08:49:00','person-3-of-demo','sign a sheet','demo-act-002979','160ba6349aa1e36c3e579c6356e50c32d070319b2267a86de2529c4f98ac9955','demo-act-002979','{}','{"sheet": 1, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002986',2986,'2025-08-26T08:07:00','person-3-of-demo','log use','demo-act-002979','5d67bce8415813c0b6273fd8f8f92f8e3db04ad51098b4dd7e1e19f86f46f56c','demo-act-002986','{"counter": 71.0, "total": 71.0, "day": "2025-07-22"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-08-26", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002987',2987,'2025-09-30T08:15:00','person-1-of-demo','log use','demo-act-002979','4bf03df2e62bd7dc8239f3b2f78e96a68cfda1a4a60a9331da4eea497f6e4577','demo-act-002987','{"counter": 71.0, "total": 71.0, "day": "2025-08-26"}','{"counter": 103.0, "total": 103.0, "typed": "103", "day": "2025-09-30", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002988',2988,'2025-10-28T08:43:00','person-2-of-demo','open a sheet','demo-act-002979','d256378c181659ff583109f2963e104b60f6264ecadd61dd4d2427395422ace4','demo-act-002988','{}','{"set": 1, "kind": "check", "counter": 131.0, "total": 131.0, "sheet": 2, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002989',2989,'2025-10-28T08:45:00','person-2-of-demo','measure','demo-act-002979','f5feb1962a8a1ac1dc1c7c4f6b8b2ad047ecfe3fe6ca920fe62365799f7bdecb','demo-act-002989','{}','{"position": "A", "typed": "22.07", "length_mm": 22.07, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002990',2990,'2025-10-28T08:46:00','person-2-of-demo','measure','demo-act-002979','4965b8b47191c3c8bc5bdff0ec4c064be3b57e298724d518e54c14f8b4b0a36c','demo-act-002990','{}','{"position": "B", "typed": "22.12", "length_mm": 22.12, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002991',2991,'2025-10-28T09:13:00','person-2-of-demo','sign a sheet','demo-act-002979','007b4f1ba46b0807b294ca5eb030e6c6a4e280f42a71ce1cc37b6403da8b7ef4','demo-act-002979','{}','{"sheet": 2, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002992',2992,'2025-11-04T08:01:00','person-3-of-demo','log use','demo-act-002979','0668788024bf845fd69472b944101d7a8a074412243098293081f57078c052a3','demo-act-002992','{"counter": 131.0, "total": 131.0, "day": "2025-10-28"}','{"counter": 138.0, "total": 138.0, "typed": "138", "day": "2025-11-04", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002993',2993,'2025-12-09T08:03:00','person-1-of-demo','log use','demo-act-002979','770fc2d539286e3585e963bf51f3ec37db7daf858d8bcc52b22b0dc9d5162941','demo-act-002993','{"counter": 138.0, "total": 138.0, "day": "2025-11-04"}','{"counter": 172.0, "total": 172.0, "typed": "172", "day": "2025-12-09", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002994',2994,'2026-01-13T08:46:00','person-2-of-demo','log use','demo-act-002979','1a965404854d326d150f5421b5c02e0e4e88e3e6dd90d00ecd05e648139c547d','demo-act-002994','{"counter": 172.0, "total": 172.0, "day": "2025-12-09"}','{"counter": 213.0, "total": 213.0, "typed": "213", "day": "2026-01-13", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002995',2995,'2026-01-20T08:49:00','person-2-of-demo','open a sheet','demo-act-002979','7d0fb39acf8f8916386d11bb058df6c2e9001ba681e3d156473f24aa0bac5239','demo-act-002995','{}','{"set": 1, "kind": "check", "counter": 222.0, "total": 222.0, "sheet": 3, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-002996',2996,'2026-01-20T08:51:00','person-2-of-demo','measure','demo-act-002979','15767d357b40d73207bbc37a55c78d54caf10ebfc86cc65af8c1a483c1cdffb2','demo-act-002996','{}','{"position": "A", "typed": "21.1", "length_mm": 21.1, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002997',2997,'2026-01-20T08:52:00','person-2-of-demo','measure','demo-act-002979','4d1e57e008f98e56201161ca7146a25dd4c80f30171f69e03ee8760a71ee57d6','demo-act-002997','{}','{"position": "B", "typed": "21.16", "length_mm": 21.16, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002998',2998,'2026-01-20T09:19:00','person-2-of-demo','sign a sheet','demo-act-002979','06bf8ae87a54451f5328d9adf7298c3035b4e152afb4f4e4cb18f36379b9b9e5','demo-act-002979','{}','{"sheet": 3, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-002999',2999,'2026-02-17T08:29:00','person-3-of-demo','log use','demo-act-002979','ad17dc82bb764759c6232700b9b29e6e68af5a8bdce90e39cf025f0575841fe0','demo-act-002999','{"counter": 222.0, "total": 222.0, "day": "2026-01-20"}','{"counter": 256.0, "total": 256.0, "typed": "256", "day": "2026-02-17", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003000',3000,'2026-03-10T08:08:00','person-1-of-demo','fit a new set','demo-act-002979','ff58304b1c8f1279e2936ff8481ccb1bffab9b7afdb320040eadc14081e4b430','demo-act-003000','{"set": 1, "ran": 280.0}','{"set": 2, "reason": "with other work", "lengths_mm": {"A": 23.88, "B": 24.01}}',NULL);
INSERT INTO "act" VALUES('demo-act-003001',3001,'2026-03-24T08:06:00','person-1-of-demo','log use','demo-act-002979','b26389e38ef3758ad3fd51acb5fd243d268eaf2393330f2a4039f2484a34f386','demo-act-003001','{"counter": 280.0, "total": 280.0, "day": "2026-03-10"}','{"counter": 296.0, "total": 296.0, "typed": "296", "day": "2026-03-24", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003002',3002,'2026-04-14T08:44:00','person-2-of-demo','open a sheet','demo-act-002979','33686e5d2e6cf9193504dd984609eab1af552f51646e3a2ce9a91ac22f1dc093','demo-act-003002','{}','{"set": 2, "kind": "check", "counter": 322.0, "total": 322.0, "sheet": 4, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-003003',3003,'2026-04-14T08:46:00','person-2-of-demo','measure','demo-act-002979','b74d27dce30d457352cf965bca8d686aad4762bbfe4d792b32590f3a864f94ed','demo-act-003003','{}','{"position": "A", "typed": "23.37", "length_mm": 23.37, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003004',3004,'2026-04-14T08:47:00','person-2-of-demo','measure','demo-act-002979','5de63d68f58f841ddfabd9768f18672ae9568ffc1b848b879894c6b3264c3698','demo-act-003004','{}','{"position": "B", "typed": "23.3", "length_mm": 23.3, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003005',3005,'2026-04-14T09:14:00','person-2-of-demo','sign a sheet','demo-act-002979','8771c1de0d5e2ce6f64829baa92a67ba1243df1962ca6f8c725fa20472841f1c','demo-act-002979','{}','{"sheet": 4, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003006',3006,'2026-04-28T08:30:00','person-2-of-demo','log use','demo-act-002979','e869466b4de0e63c684867fd8cba1329142098bb1057eb5125685b0e230df4fb','demo-act-003006','{"counter": 322.0, "total": 322.0, "day": "2026-04-14"}','{"counter": 341.0, "total": 341.0, "typed": "341", "day": "2026-04-28", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003007',3007,'2026-06-02T08:01:00','person-1-of-demo','log use','demo-act-002979','b9c438d240395237bb68adf6ed3c8f1684763a2725d736acef0cba5bf331767a','demo-act-003007','{"counter": 341.0, "total": 341.0, "day": "2026-04-28"}','{"counter": 393.0, "total": 393.0, "typed": "393", "day": "2026-06-02", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003008',3008,'2026-07-07T08:40:00','person-2-of-demo','open a sheet','demo-act-002979','322df446ed9f0f6f4b8fbfb08938e82230425ed5611d152b022511bd678f4863','demo-act-003008','{}','{"set": 2, "kind": "check", "counter": 438.0, "total": 438.0, "sheet": 5, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-003009',3009,'2026-07-07T08:42:00','person-2-of-demo','measure','demo-act-002979','77e8dcd0d398285905c6bd1feca326ee7ac26d0ae21e801a393bf41f9f4e5214','demo-act-003009','{}','{"position": "A", "typed": "22.08", "length_mm": 22.08, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003010',3010,'2026-07-07T08:43:00','person-2-of-demo','measure','demo-act-002979','8965aadd35a7b29dd5480b9f599b67caa79e9ffac6458b375e166b64bfa99311','demo-act-003010','{}','{"position": "B", "typed": "21.94", "length_mm": 21.94, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003011',3011,'2026-07-07T09:10:00','person-2-of-demo','sign a sheet','demo-act-002979','56a02a190d23104f3826171a0049a9756be8a8abe78ecb1382b241a12f21a694','demo-act-002979','{}','{"sheet": 5, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003012',3012,'2026-08-11T08:01:00','person-3-of-demo','log use','demo-act-002979','4419a8634bd5c75dfe9f7e020ca51236e7c51a4d59453bac76313d90f636f41d','demo-act-003012','{"counter": 438.0, "total": 438.0, "day": "2026-07-07"}','{"counter": 438.0, "total": 438.0, "typed": "438", "day": "2026-08-11", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003013',3013,'2026-09-15T08:12:00','person-1-of-demo','log use','demo-act-002979','2013958a55cb2c882275efb710d63fa5e8ffc59f7d3443d64831d69962e57ef0','demo-act-003013','{"counter": 438.0, "total": 438.0, "day": "2026-08-11"}','{"counter": 454.0, "total": 454.0, "typed": "454", "day": "2026-09-15", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003014',3014,'2026-09-29T08:11:00','person-1-of-demo','open a sheet','demo-act-002979','b10f4cdb0974b97ee2c0eb9e62a8a62b51a5dc3bb1e000663e4f8e1f6dd8ca37','demo-act-003014','{}','{"set": 2, "kind": "check", "counter": 468.0, "total": 468.0, "sheet": 6, "look": "quick"}',NULL);
INSERT INTO "act" VALUES('demo-act-003015',3015,'2026-09-29T08:13:00','person-1-of-demo','measure','demo-act-002979','4a426228b3a6b3a7ec9b8ad580eaced46ed1ad005f1352325d70210e5fccd2c3','demo-act-003015','{}','{"position": "A", "typed": "21.75", "length_mm": 21.75, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003016',3016,'2026-09-29T08:14:00','person-1-of-demo','measure','demo-act-002979','cab8ddc2b2ccebc4ad02f71faf3f15658128ac7e1404251b60bfc9714e1a1130','demo-act-003016','{}','{"position": "B", "typed": "21.64", "length_mm": 21.64, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003017',3017,'2026-09-29T08:41:00','person-1-of-demo','sign a sheet','demo-act-002979','f0582810e8eba2f4391f28754fe718bbbb3511a2dc7d07715a9b15d94e3afa27','demo-act-002979','{}','{"sheet": 6, "clean": true, "as": "measured", "why": "", "outcome": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003018',3018,'2026-10-20T08:33:00','person-2-of-demo','log use','demo-act-002979','48e5e1d3582504449971eea6a304df32d0b41799c1aa8714a332aeaccb852e34','demo-act-003018','{"counter": 468.0, "total": 468.0, "day": "2026-09-29"}','{"counter": 492.0, "total": 492.0, "typed": "492", "day": "2026-10-20", "event": "", "struck": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003019',3019,'2026-11-24T08:26:00','person-3-of-demo','open a sheet','demo-act-002979','722a3ccc369c84dc99f7e2f1b3e3629dcfd82dd63afb75cc21b7965bda1829b4','demo-act-003019','{}','{"set": 2, "kind": "check", "counter": 526.0, "total": 526.0, "sheet": 7, "look": "full"}',NULL);
INSERT INTO "act" VALUES('demo-act-003020',3020,'2026-11-24T08:27:00','person-3-of-demo','enter','demo-act-002979','4ea9862234331b74f239186db0facdba6e0e24d19034bfd5b187f40f1388a4ba','demo-act-003020','{}','{"field": "complaint", "place": 0, "typed": "tingles when it is touched"}',NULL);
INSERT INTO "act" VALUES('demo-act-003021',3021,'2026-11-24T08:28:00','person-3-of-demo','enter','demo-act-002979','57f5fbc8cc5ff3c125c1617357abeb9fb919b6910c80e4e634c693f269af4729','demo-act-003021','{}','{"field": "urgency", "place": 0, "typed": "now"}',NULL);
INSERT INTO "act" VALUES('demo-act-003022',3022,'2026-11-24T08:29:00','person-3-of-demo','enter','demo-act-002979','6175957e3b8fb6a624f2e747afab95d4380adf24d66dccf2e6b8500dcf212f37','demo-act-003022','{}','{"field": "step.safe.dead", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003023',3023,'2026-11-24T08:30:00','person-3-of-demo','enter','demo-act-002979','a729763e1b297b8833f19e5d17600f869c50f10e234276f294d862f7e832c215','demo-act-003023','{}','{"field": "step.safe.still", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003024',3024,'2026-11-24T08:31:00','person-3-of-demo','enter','demo-act-002979','1d45c15d63056ce08d8ce4e51ce02754ece0765b7438d9be6f26b1fde3a3ecdf','demo-act-003024','{}','{"field": "step.safe.plug", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003025',3025,'2026-11-24T08:32:00','person-3-of-demo','enter','demo-act-002979','2b9b4643b7b1a3863c494f63052addddd54e8cb731ec510dfa909ef3c639ffae','demo-act-003025','{}','{"field": "step.safe.laid", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003026',3026,'2026-11-24T08:33:00','person-3-of-demo','enter','demo-act-002979','b1ce699f911a68f6d3ac3cdb6c7bfc19223e09dcb887fce6ed0ff55be1006978','demo-act-003026','{}','{"field": "step.safe.capacitors", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003027',3027,'2026-11-24T08:34:00','person-3-of-demo','enter','demo-act-002979','0d9cd0c53ce9e044059a2516e38026d7a6bf5745da7e04a7ea60dd4122aedc13','demo-act-003027','{}','{"field": "step.safe.dust", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003028',3028,'2026-11-24T08:35:00','person-3-of-demo','enter','demo-act-002979','0c07f97eac3b89df50fce36ad6f71957fb17a9894227bdba9438b869a31321db','demo-act-003028','{}','{"field": "safe.method", "place": 0, "typed": "unplugged"}',NULL);
INSERT INTO "act" VALUES('demo-act-003029',3029,'2026-11-24T08:36:00','person-3-of-demo','enter','demo-act-002979','8668e66e24cf1e074d0ae77a2c34f925f50064ae78e8e5fbe9cb990d89f49c6d','demo-act-003029','{}','{"field": "state", "place": 0, "typed": "opened"}',NULL);
INSERT INTO "act" VALUES('demo-act-003030',3030,'2026-11-24T08:37:00','person-3-of-demo','measure','demo-act-002979','d6a5e017f067d1495145a4db3b84c527502d63f1013ecfca13f5004ce8721a60','demo-act-003030','{}','{"position": "A", "typed": "21.17", "length_mm": 21.17, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003031',3031,'2026-11-24T08:38:00','person-3-of-demo','measure','demo-act-002979','7e8d368aef2d2bcd821ece2c381a6a0c11e88036e3e5a2c6a38ea0963518d14a','demo-act-003031','{}','{"position": "B", "typed": "20.93", "length_mm": 20.93, "doubt": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003032',3032,'2026-11-24T08:39:00','person-3-of-demo','enter','demo-act-002979','37351594b20d81ba2709c7c0bcdb817236cd00b8ad965bde2099e59be0b9ac06','demo-act-003032','{}','{"field": "earth-ohm", "place": 0, "typed": "1.4"}',NULL);
INSERT INTO "act" VALUES('demo-act-003033',3033,'2026-11-24T08:40:00','person-3-of-demo','enter','demo-act-002979','92d1028c5458868d0bbe9c4bfea257b2b2a9b499857fe87e7455c1c15a8acbe5','demo-act-003033','{}','{"field": "seen.commutator.slots", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003034',3034,'2026-11-24T08:41:00','person-3-of-demo','enter','demo-act-002979','8fe76f915b057b4afbac29026dc92e56b80fdfdf28532f0362cd9ab53b49811c','demo-act-003034','{}','{"field": "sound.windings", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003035',3035,'2026-11-24T08:42:00','person-3-of-demo','enter','demo-act-002979','49bfc4471ab324db54f35ea5a22e9d5340b3e78bac60f621c456b6c35b33d519','demo-act-003035','{}','{"field": "sound.drive", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003036',3036,'2026-11-24T08:43:00','person-3-of-demo','enter','demo-act-002979','65ecd4015f145274a603d2648d0bb4476e6ca6b19398a19ca86371f45aa0aa3a','demo-act-003036','{}','{"field": "looked.springs", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003037',3037,'2026-11-24T08:44:00','person-3-of-demo','enter','demo-act-002979','35c38df0028acd7baaa3987cc1f15eb1ebfe1e2c34a069818e26867c25a7adf7','demo-act-003037','{}','{"field": "looked.holders", "place": 0, "typed": "yes"}',NULL);
INSERT INTO "act" VALUES('demo-act-003038',3038,'2026-11-24T08:45:00','person-3-of-demo','enter','demo-act-002979','3524c26869cf150fff5932488927a2e025977ef9783bbab362f3e08d8940de7b','demo-act-003038','{}','{"field": "decide.earth.open", "place": 0, "typed": "now"}',NULL);
INSERT INTO "act" VALUES('demo-act-003039',3039,'2026-11-24T08:46:00','person-3-of-demo','enter','demo-act-002979','95cdc40fa43403dc7bf40e45fd80e0d0dacc5efe8f4bc30771debfeb93570474','demo-act-003039','{}','{"field": "task.earth", "place": 0, "typed": "yes", "took": "20", "parts": "star washer M5, 1"}',NULL);
INSERT INTO "act" VALUES('demo-act-003215',3215,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'7bef20a2e15d206f5f8830ca9001fb5e321b3ccab7a363d49c47ae2743f600d8','demo-act-003215','{}','{"window": "Summer, house dark", "first": "2023-07-01", "last": "2023-08-31", "yearly": true, "place": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003216',3216,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'ccfec9fc9a594e997e5d84a7b8a56ab915a2f3d6bc4cbae4cf2b57511bcea4ee','demo-act-003216','{}','{"window": "Get-in of the winter piece", "first": "2026-12-07", "last": "2026-12-13", "yearly": false, "place": "stage"}',NULL);
INSERT INTO "act" VALUES('demo-act-003217',3217,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'2ebd376e3de091a53988d9f1035398c48a6ad2b091abcabe5335680ef366ed31','demo-act-003217','{}','{"window": "February refit", "first": "2027-02-08", "last": "2027-02-21", "yearly": false, "place": ""}',NULL);
INSERT INTO "act" VALUES('demo-act-003219',3219,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'cfcaf0525cefbe039d85bc61c4b331984b957dca7df693a69d41b020de4d8d7a','fit.clearance-most','{"value": null}','{"value": 0.25, "scope": "site", "of": "", "why": "the house keeps brushes tighter after two chipped sets"}',NULL);
INSERT INTO "act" VALUES('demo-act-003220',3220,'2026-10-06T00:00:00','person-2-of-demo','change a rule',NULL,'0fae4b58f739cc50716e6a0a9f86953d138e81bb7074dc85fe32f119dd6f7251','school.old-or-new','{"value": null}','{"value": "keep", "scope": "motor", "of": "demo-act-002823", "why": "no such carbon is made any more, and it runs well"}',NULL);
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
INSERT INTO "brush_set" VALUES('demo-act-002979.set','demo-act-002979',1,'2025-05-13T08:14:00',0.0,1,NULL,NULL,NULL,NULL,'2026-03-10T08:08:00',280.0,'with other work',NULL,'','','[]',0,'',NULL,NULL,'demo-act-002979');
INSERT INTO "brush_set" VALUES('demo-act-003000','demo-act-002979',2,'2026-03-10T08:08:00',280.0,1,NULL,NULL,NULL,NULL,NULL,NULL,NULL,NULL,'','','[]',0,'',NULL,NULL,'demo-act-003000');
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
INSERT INTO "entry" VALUES('demo-act-002982.safe','demo-act-002982','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002982','found',0);
INSERT INTO "entry" VALUES('demo-act-002985.confirm.service','demo-act-002982','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002985','found',0);
INSERT INTO "entry" VALUES('demo-act-002988.safe','demo-act-002988','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002988','found',0);
INSERT INTO "entry" VALUES('demo-act-002991.confirm.service','demo-act-002988','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002991','found',0);
INSERT INTO "entry" VALUES('demo-act-002995.safe','demo-act-002995','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002995','found',0);
INSERT INTO "entry" VALUES('demo-act-002998.confirm.service','demo-act-002995','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002998','found',0);
INSERT INTO "entry" VALUES('demo-act-003002.safe','demo-act-003002','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-003002','found',0);
INSERT INTO "entry" VALUES('demo-act-003005.confirm.service','demo-act-003002','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-003005','found',0);
INSERT INTO "entry" VALUES('demo-act-003008.safe','demo-act-003008','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-003008','found',0);
INSERT INTO "entry" VALUES('demo-act-003011.confirm.service','demo-act-003008','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-003011','found',0);
INSERT INTO "entry" VALUES('demo-act-003014.safe','demo-act-003014','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-003014','found',0);
INSERT INTO "entry" VALUES('demo-act-003017.confirm.service','demo-act-003014','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-003017','found',0);
INSERT INTO "entry" VALUES('demo-act-003020','demo-act-003019','complaint',0,'tingles when it is touched','tingles when it is touched',NULL,'{}',NULL,'demo-act-003020','found',0);
INSERT INTO "entry" VALUES('demo-act-003021','demo-act-003019','urgency',0,'now','now',NULL,'{}',NULL,'demo-act-003021','found',0);
INSERT INTO "entry" VALUES('demo-act-003022','demo-act-003019','step.safe.dead',0,'yes','yes',NULL,'{}',NULL,'demo-act-003022','found',0);
INSERT INTO "entry" VALUES('demo-act-003023','demo-act-003019','step.safe.still',0,'yes','yes',NULL,'{}',NULL,'demo-act-003023','found',0);
INSERT INTO "entry" VALUES('demo-act-003024','demo-act-003019','step.safe.plug',0,'yes','yes',NULL,'{}',NULL,'demo-act-003024','found',0);
INSERT INTO "entry" VALUES('demo-act-003025','demo-act-003019','step.safe.laid',0,'yes','yes',NULL,'{}',NULL,'demo-act-003025','found',0);
INSERT INTO "entry" VALUES('demo-act-003026','demo-act-003019','step.safe.capacitors',0,'yes','yes',NULL,'{}',NULL,'demo-act-003026','found',0);
INSERT INTO "entry" VALUES('demo-act-003027','demo-act-003019','step.safe.dust',0,'yes','yes',NULL,'{}',NULL,'demo-act-003027','found',0);
INSERT INTO "entry" VALUES('demo-act-003028','demo-act-003019','safe.method',0,'unplugged','unplugged',NULL,'{}',NULL,'demo-act-003028','found',0);
INSERT INTO "entry" VALUES('demo-act-003029','demo-act-003019','state',0,'opened','opened',NULL,'{}',NULL,'demo-act-003029','found',0);
INSERT INTO "entry" VALUES('demo-act-003032','demo-act-003019','earth-ohm',0,'1.4','',1.4,'{}',NULL,'demo-act-003032','found',0);
INSERT INTO "entry" VALUES('demo-act-003033','demo-act-003019','seen.commutator.slots',0,'yes','yes',NULL,'{}',NULL,'demo-act-003033','found',0);
INSERT INTO "entry" VALUES('demo-act-003034','demo-act-003019','sound.windings',0,'yes','yes',NULL,'{}',NULL,'demo-act-003034','found',0);
INSERT INTO "entry" VALUES('demo-act-003035','demo-act-003019','sound.drive',0,'yes','yes',NULL,'{}',NULL,'demo-act-003035','found',0);
INSERT INTO "entry" VALUES('demo-act-003036','demo-act-003019','looked.springs',0,'yes','yes',NULL,'{}',NULL,'demo-act-003036','found',0);
INSERT INTO "entry" VALUES('demo-act-003037','demo-act-003019','looked.holders',0,'yes','yes',NULL,'{}',NULL,'demo-act-003037','found',0);
INSERT INTO "entry" VALUES('demo-act-003038','demo-act-003019','decide.earth.open',0,'now','now',NULL,'{}',NULL,'demo-act-003038','found',0);
INSERT INTO "entry" VALUES('demo-act-003039','demo-act-003019','task.earth',0,'yes','yes',NULL,'{"took": "20", "parts": "star washer M5, 1"}',NULL,'demo-act-003039','found',0);
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
INSERT INTO "forecast" VALUES('demo-act-002979','{"visits": 5, "past_sets": 1, "life_units": 1385.9678584668318, "p05_units": 1260.0959228515626, "p10_units": 1336.8515014648438, "p25_units": 1443.7864990234375, "p50_units": 1569.4777221679688, "p75_units": 1698.4779663085938, "p90_units": 1826.4522705078125, "p95_units": 1914.6667724609374, "look_units": 1260.0959237420466, "p10_on": "2028-12-22", "p50_on": "2029-12-16", "p90_on": "2031-02-05", "look_on": "2028-10-23", "tail": 0.45321589708328247, "jumped": 0.0009972290135920048, "rate_mm_per_unit": 0.010822761803865433, "worst_position": 2, "seen_units": 526.0, "coarse": false}');
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
INSERT INTO "forecast_made" VALUES('demo-act-002982.found','demo-act-002979.set','demo-act-002979','2025-08-05T08:49:00',1,6.81776586914062477252e+02,7.52932012939453102276e+02,1124.80419921875,1728.52646484375,2.02130932617187409044e+03,6.81776587366592138998e+02,5.04513025283813476562e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002988.found','demo-act-002979.set','demo-act-002979','2025-10-28T09:13:00',2,7.82545587158203147758e+02,8.86017797851562477224e+02,1.17576727294921875004e+03,1541.1021484375,1.68394141845703052247e+03,7.82545587533968500792e+02,5.43554723262786865234e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002995.found','demo-act-002979.set','demo-act-002979','2026-01-20T09:19:00',3,936.031494140625,1.00547852172851560231e+03,1.24840112304687500001e+03,1.51892586669921865905e+03,1.61078979492187499998e+03,9.36031497491756454137e+02,6.20682477951049804687e-01);
INSERT INTO "forecast_made" VALUES('demo-act-003002.found','demo-act-003000','demo-act-002979','2026-04-14T09:14:00',2,1.03250067138671874997e+03,1140.3046875,1.72047088623046875001e+03,2.91863659667968750001e+03,3.68167531738280968066e+03,1.03250067767081782224e+03,7.38195896148681640625e-01);
INSERT INTO "forecast_made" VALUES('demo-act-003008.found','demo-act-003000','demo-act-002979','2026-07-07T09:10:00',3,1.14273622436523442048e+03,1.26161860961914067049e+03,1.53892114257812499993e+03,1.87109913330078120449e+03,1.98878887939453102267e+03,1.14273622454365249723e+03,3.2426553964614868164e-01);
INSERT INTO "forecast_made" VALUES('demo-act-003014.found','demo-act-003000','demo-act-002979','2026-09-29T08:41:00',4,1.21051336669921875e+03,1.30605766601562504544e+03,1.56325823974609375002e+03,1871.85166015625,1.96893549804687472718e+03,1.21051337286666966977e+03,5.24224400520324707031e-01);
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
, part text not null default '', put_by text not null default '', put_since text, moved integer not null default 0, waits_for text not null default '', held_since text, was text not null default '', withdrawn_act_id text references act (id), withdrawn_why text not null default '', free integer not null default 0, ground_json text) strict;
INSERT INTO "life" VALUES('demo-act-003019.earth.open.0','demo-act-002979','demo-act-003019',0,'earth.open','stop','protective earth 1.4 Ω, allowed 0.1','open','',NULL,'',NULL,NULL,'windings','',NULL,0,'',NULL,'',NULL,'',0,'{"earth.ohm": 0.1}');
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
INSERT INTO "motor" VALUES('demo-act-002979','A-10','Haze fan','stage left','appliance',NULL,1,'demo-act-002979','a10','a10
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
INSERT INTO "motor_figure" VALUES('demo-act-002979','expected_life_units',1200.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002979','grade_family',NULL,'resin-bonded');
INSERT INTO "motor_figure" VALUES('demo-act-002979','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-002979','limit_mm',9.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002979','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('demo-act-002979','new_mm',24.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002979','thickness_mm',6.3,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002979','width_mm',11.0,NULL);
CREATE TABLE motor_type (
    id text primary key,
    name text not null unique collate nocase,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    act_id text not null references act (id)
, name_key text not null default '', taught integer not null default 0) strict;
INSERT INTO "motor_type" VALUES('demo-act-000001','Winch motor, four-pole shunt','industrial','demo-act-000001','winchmotorfourpoleshunt',3);
INSERT INTO "motor_type" VALUES('demo-act-000002','Bench tool motor, universal','tool','demo-act-000002','benchtoolmotoruniversal',6);
CREATE TABLE moved (
    id text primary key,
    kind text not null check (kind in ('figure', 'rule', 'school')),
    name text not null,
    scope text not null check (scope in ('site', 'class', 'type', 'motor')),
    scope_id text not null,
    before_json text not null,
    after_json text not null,
    answer text not null check (answer in ('', 'first', 'read', 'ours')),
    source text not null,
    act_id text not null references act (id),
    confirmed_act_id text references act (id),
    ended_act_id text references act (id)
) strict;
INSERT INTO "moved" VALUES('demo-act-003219.fit.clearance-most','rule','fit.clearance-most','site','','null','0.25','','the house keeps brushes tighter after two chipped sets','demo-act-003219',NULL,NULL);
INSERT INTO "moved" VALUES('demo-act-003220.school.old-or-new','school','school.old-or-new','motor','demo-act-002823','null','"keep"','','no such carbon is made any more, and it runs well','demo-act-003220',NULL,NULL);
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
INSERT INTO "past_set" VALUES('demo-act-002979.set','demo-act-002979',-4.34836535210075059154e+00,0,0);
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
INSERT INTO "position" VALUES('demo-act-002979',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('demo-act-002979',2,'B',270.0,2,'-');
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
, sight text not null default 'found' check (sight in ('found', 'left', 'asked')), bare_mm real, reference_mm real) strict;
INSERT INTO "reading" VALUES('demo-act-002983','demo-act-002982.found',1,'22.77','mm','length','digital-caliper',22.77,22.77,0.05,22.77,22.77,NULL,NULL,'','','',NULL,'demo-act-002983','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-002984','demo-act-002982.found',2,'22.8','mm','length','digital-caliper',22.8,22.8,0.05,22.8,22.8,NULL,NULL,'','','',NULL,'demo-act-002984','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-002989','demo-act-002988.found',1,'22.07','mm','length','digital-caliper',22.07,22.07,0.05,22.07,22.07,NULL,NULL,'','','',NULL,'demo-act-002989','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-002990','demo-act-002988.found',2,'22.12','mm','length','digital-caliper',22.12,22.12,0.05,22.12,22.12,NULL,NULL,'','','',NULL,'demo-act-002990','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-002996','demo-act-002995.found',1,'21.1','mm','length','digital-caliper',21.1,21.1,0.05,21.1,21.1,NULL,NULL,'','','',NULL,'demo-act-002996','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-002997','demo-act-002995.found',2,'21.16','mm','length','digital-caliper',21.16,21.16,0.05,21.16,21.16,NULL,NULL,'','','',NULL,'demo-act-002997','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003000.1','demo-act-003000.fit',1,'23.88','mm','length','digital-caliper',23.88,23.88,0.05,23.88,23.88,NULL,NULL,'','','',NULL,'demo-act-003000','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003000.2','demo-act-003000.fit',2,'24.01','mm','length','digital-caliper',24.01,24.01,0.05,24.01,24.01,NULL,NULL,'','','',NULL,'demo-act-003000','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003003','demo-act-003002.found',1,'23.37','mm','length','digital-caliper',23.37,23.37,0.05,23.37,23.37,NULL,NULL,'','','',NULL,'demo-act-003003','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003004','demo-act-003002.found',2,'23.3','mm','length','digital-caliper',23.3,23.3,0.05,23.3,23.3,NULL,NULL,'','','',NULL,'demo-act-003004','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003009','demo-act-003008.found',1,'22.08','mm','length','digital-caliper',22.08,22.08,0.05,22.08,22.08,NULL,NULL,'','','',NULL,'demo-act-003009','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003010','demo-act-003008.found',2,'21.94','mm','length','digital-caliper',21.94,21.94,0.05,21.94,21.94,NULL,NULL,'','','',NULL,'demo-act-003010','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003015','demo-act-003014.found',1,'21.75','mm','length','digital-caliper',21.75,21.75,0.05,21.75,21.75,NULL,NULL,'','','',NULL,'demo-act-003015','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003016','demo-act-003014.found',2,'21.64','mm','length','digital-caliper',21.64,21.64,0.05,21.64,21.64,NULL,NULL,'','','',NULL,'demo-act-003016','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003030','demo-act-003019.found',1,'21.17','mm','length','digital-caliper',21.17,21.17,0.05,21.17,21.17,NULL,NULL,'','','',NULL,'demo-act-003030','found',NULL,NULL);
INSERT INTO "reading" VALUES('demo-act-003031','demo-act-003019.found',2,'20.93','mm','length','digital-caliper',20.93,20.93,0.05,20.93,20.93,NULL,NULL,'','','',NULL,'demo-act-003031','found',NULL,NULL);
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
CREATE TABLE rest (
    life_id text not null references life (id),
    moved_id text not null references moved (id),
    primary key (life_id, moved_id)
) strict, without rowid;
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
INSERT INTO "round" VALUES('demo-act-002982.found','demo-act-002979','demo-act-002979.set','check','2025-08-05T08:19:00',1,71.0,'2025-08-05T08:49:00','demo-act-002982',0,'',0,NULL,'demo-act-002982');
INSERT INTO "round" VALUES('demo-act-002988.found','demo-act-002979','demo-act-002979.set','check','2025-10-28T08:43:00',2,131.0,'2025-10-28T09:13:00','demo-act-002988',0,'',0,NULL,'demo-act-002988');
INSERT INTO "round" VALUES('demo-act-002995.found','demo-act-002979','demo-act-002979.set','check','2026-01-20T08:49:00',3,222.0,'2026-01-20T09:19:00','demo-act-002995',0,'',0,NULL,'demo-act-002995');
INSERT INTO "round" VALUES('demo-act-003000.fit','demo-act-002979','demo-act-003000','fitting','2026-03-10T08:08:00',4,280.0,'2026-03-10T08:08:00',NULL,0,'',0,NULL,'demo-act-003000');
INSERT INTO "round" VALUES('demo-act-003002.found','demo-act-002979','demo-act-003000','check','2026-04-14T08:44:00',5,322.0,'2026-04-14T09:14:00','demo-act-003002',0,'',0,NULL,'demo-act-003002');
INSERT INTO "round" VALUES('demo-act-003008.found','demo-act-002979','demo-act-003000','check','2026-07-07T08:40:00',6,438.0,'2026-07-07T09:10:00','demo-act-003008',0,'',0,NULL,'demo-act-003008');
INSERT INTO "round" VALUES('demo-act-003014.found','demo-act-002979','demo-act-003000','check','2026-09-29T08:11:00',7,468.0,'2026-09-29T08:41:00','demo-act-003014',0,'',0,NULL,'demo-act-003014');
INSERT INTO "round" VALUES('demo-act-003019.found','demo-act-002979','demo-act-003000','check','2026-11-24T08:26:00',8,526.0,NULL,'demo-act-003019',0,'',0,NULL,'demo-act-003019');
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
INSERT INTO "rule_override" VALUES('demo-act-003219','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-003219','');
INSERT INTO "rule_override" VALUES('demo-act-003220','school.old-or-new','motor','demo-act-002823',0.0,'no such carbon is made any more, and it runs well',NULL,'demo-act-003220','keep');
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
INSERT INTO "sheet" VALUES('demo-act-002982','demo-act-002979',1,'quick','2025-08-05T08:19:00','2025-08-05T08:49:00','{"person": "Maud Celliers", "sentence": "Run on. Brush A has 13.8 mm to its limit, 92% of its usable carbon.", "figures": [{"value": "1\u202f120 h", "words": "limit about", "beside": "21 May 2028", "until": ""}, {"value": "681 h", "words": "look by", "beside": "30 November 2026", "until": "2026-12-01"}, {"value": "15 February 2027", "words": "plan by", "beside": "", "until": "2026-12-01"}, {"value": "8 in 10", "words": "how sure", "beside": "752 to 1\u202f720 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 92%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 752 and 1\u202f720 h, 1 March 2027 to 16 June 2030, from 1 round and the expected life.", "Look by 681 h, 30 November 2026 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this look comes first.", "Look by 5 August 2027 for the calendar limit: 24 months since the last complete look: low use is not health; later.", "Straight line: do not exceed 865 h, plan by 706 h, look again by 468 h.", "Dates from 7.1 h a week (10 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2026-11-30", "look_at": 681.7765873665921, "look_by": "forecast", "look_counter": "681 h", "sooner": "", "sooner_at": null}','demo-act-002982');
INSERT INTO "sheet" VALUES('demo-act-002988','demo-act-002979',2,'quick','2025-10-28T08:43:00','2025-10-28T09:13:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 13.1 mm to its limit, 87% of its usable carbon.", "figures": [{"value": "1\u202f170 h", "words": "limit about", "beside": "15 June 2029", "until": ""}, {"value": "28 October 2027", "words": "look by, for the calendar limit", "beside": "", "until": "2027-10-29"}, {"value": "12 March 2028", "words": "plan by", "beside": "", "until": "2027-10-29"}, {"value": "8 in 10", "words": "how sure", "beside": "886 to 1\u202f540 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 87%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 886 and 1\u202f540 h, 26 March 2028 to 27 April 2031, from 2 rounds and the expected life.", "Look by 782 h, 11 November 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; later.", "Look by 28 October 2027 for the calendar limit: 24 months since the last complete look: low use is not health; this look comes first.", "Straight line: do not exceed 1\u202f018 h, plan by 840 h, look again by 574 h.", "Dates from 5.5 h a week (24 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2027-10-28", "look_at": null, "look_by": "calendar limit", "look_counter": "", "sooner": "", "sooner_at": null}','demo-act-002988');
INSERT INTO "sheet" VALUES('demo-act-002995','demo-act-002979',3,'quick','2026-01-20T08:49:00','2026-01-20T09:19:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 12.1 mm to its limit, 81% of its usable carbon.", "figures": [{"value": "1\u202f240 h", "words": "limit about", "beside": "14 March 2029", "until": ""}, {"value": "936 h", "words": "look by", "beside": "30 December 2027", "until": "2027-12-31"}, {"value": "1 March 2028", "words": "plan by", "beside": "", "until": "2027-12-31"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f000 to 1\u202f510 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 81%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f000 and 1\u202f510 h, 15 March 2028 to 29 June 2030, from 3 rounds and the expected life.", "Look by 936 h, 30 December 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this look comes first.", "Look by 20 January 2028 for the calendar limit: 24 months since the last complete look: low use is not health; later.", "Straight line: do not exceed 1\u202f148 h, plan by 963 h, look again by 685 h.", "Dates from 6.2 h a week (36 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2027-12-30", "look_at": 936.0314974917565, "look_by": "forecast", "look_counter": "936 h", "sooner": "", "sooner_at": null}','demo-act-002995');
INSERT INTO "sheet" VALUES('demo-act-003002','demo-act-002979',4,'quick','2026-04-14T08:44:00','2026-04-14T09:14:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 14.3 mm to its limit, 95% of its usable carbon.", "figures": [{"value": "1\u202f720 h", "words": "limit about", "beside": "11 May 2030", "until": ""}, {"value": "1\u202f030 h", "words": "look by", "beside": "22 February 2028", "until": "2028-02-23"}, {"value": "6 July 2028", "words": "plan by", "beside": "", "until": "2028-02-23"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f140 to 2\u202f910 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 95%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f140 and 2\u202f910 h, 20 July 2028 to 16 November 2033, from 2 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f030 h, 22 February 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this look comes first.", "Look by 14 April 2028 for the calendar limit: 24 months since the last complete look: low use is not health; later.", "Straight line: do not exceed 1\u202f167 h, plan by 998 h, look again by 744 h.", "Dates from 6.7 h a week (48 weeks of log).", "Uneven: the wear differs by 33% of its mean, B most. Look at holder, spring and lead there before renewing."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-02-22", "look_at": 1032.5006776708178, "look_by": "forecast", "look_counter": "1\u202f030 h", "sooner": "", "sooner_at": null}','demo-act-003002');
INSERT INTO "sheet" VALUES('demo-act-003008','demo-act-002979',5,'quick','2026-07-07T08:40:00','2026-07-07T09:10:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.9 mm to its limit, 86% of its usable carbon.", "figures": [{"value": "1\u202f530 h", "words": "limit about", "beside": "15 July 2029", "until": ""}, {"value": "1\u202f140 h", "words": "look by", "beside": "24 April 2028", "until": "2028-04-25"}, {"value": "30 June 2028", "words": "plan by", "beside": "", "until": "2028-04-25"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f260 to 1\u202f870 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 86%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f260 and 1\u202f870 h, 14 July 2028 to 4 October 2030, from 3 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f140 h, 24 April 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this look comes first.", "Look by 7 July 2028 for the calendar limit: 24 months since the last complete look: low use is not health; later.", "Straight line: do not exceed 1\u202f425 h, plan by 1\u202f228 h, look again by 931 h.", "Dates from 7.0 h a week (55 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-04-24", "look_at": 1142.7362245436525, "look_by": "forecast", "look_counter": "1\u202f140 h", "sooner": "", "sooner_at": null}','demo-act-003008');
INSERT INTO "sheet" VALUES('demo-act-003014','demo-act-002979',6,'quick','2026-09-29T08:11:00','2026-09-29T08:41:00','{"person": "Ines Torvald", "sentence": "Run on. Brush B has 12.6 mm to its limit, 84% of its usable carbon.", "figures": [{"value": "1\u202f560 h", "words": "limit about", "beside": "5 October 2029", "until": ""}, {"value": "1\u202f210 h", "words": "look by", "beside": "6 August 2028", "until": "2028-08-07"}, {"value": "3 October 2028", "words": "plan by", "beside": "", "until": "2028-08-07"}, {"value": "8 in 10", "words": "how sure", "beside": "1\u202f300 to 1\u202f870 h", "until": ""}], "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 84%, over 40%.", "Limit 9.0 mm: maker''s figure.", "The first brush is at its limit 8 times in 10 between 1\u202f300 and 1\u202f870 h, 17 October 2028 to 5 December 2030, from 4 rounds and 1 earlier set.", "The last set ran 280 h: this one wears more slowly.", "Look by 1\u202f210 h, 6 August 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this look comes first.", "Look by 29 September 2028 for the calendar limit: 24 months since the last complete look: low use is not health; later.", "Straight line: do not exceed 1\u202f470 h, plan by 1\u202f270 h, look again by 969 h.", "Dates from 7.0 h a week (57 weeks of log)."], "open": [], "standing": [], "why": "", "work": [], "signed_as": "measured", "told": {"signed_as": "measured", "signed_as_words": "Measured", "stages": [{"id": "safe", "state": "done", "why": ""}, {"id": "brushes", "state": "done", "why": ""}, {"id": "sign", "state": "waiting", "why": ""}], "complaint": {"words": "", "signs": [], "answer": "", "cause": ""}, "cause": [], "parts": [{"part": "brushes", "words": "Brushes", "grade": "fit", "word": "Run on", "because": "length and use of the set", "overruled_by": "", "why": ""}, {"part": "springs", "words": "Springs, leads, terminals", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "holders", "words": "Holders", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "commutator", "words": "Commutator", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "windings", "words": "Windings and magnets", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}, {"part": "drive", "words": "Bearings and drive", "grade": null, "word": "", "because": "", "overruled_by": "", "why": ""}], "findings": [], "done": [], "set": null, "run": "", "ran": null, "opened": true, "not_looked_at": [], "waived": [], "unmeasured": "", "before": [], "slips": [], "corrected": [], "again": [], "outcome": ""}, "look_on": "2028-08-06", "look_at": 1210.5133728666697, "look_by": "forecast", "look_counter": "1\u202f210 h", "sooner": "", "sooner_at": null}','demo-act-003014');
INSERT INTO "sheet" VALUES('demo-act-003019','demo-act-002979',7,'full','2026-11-24T08:26:00',NULL,NULL,'demo-act-003019');
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
INSERT INTO "shutdown" VALUES('demo-act-003215','Summer, house dark','2023-07-01','2023-08-31',1,'',NULL,'demo-act-003215');
INSERT INTO "shutdown" VALUES('demo-act-003216','Get-in of the winter piece','2026-12-07','2026-12-13',0,'stage',NULL,'demo-act-003216');
INSERT INTO "shutdown" VALUES('demo-act-003217','February refit','2027-02-08','2027-02-21',0,'',NULL,'demo-act-003217');
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Lanternmoor Playhouse, engineering shop','2026-11-24','2026-11-28T17:56:28');
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
INSERT INTO "standing" VALUES('demo-act-002979',3220,'stop',7,'2029-12-16','2028-10-23','2029-12-16',11.93,'Measure again: protective earth, lead taken off. Windings and magnets: protective earth 1.4 Ω, allowed 0.1; protective earth joined again, not yet proven.','Done, not proven','windings and magnets','{"new_mm": 24.0, "limit_mm": 9.0, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 21.17, "next_mm": 13.083008319752262, "old": false}, {"label": "B", "length_mm": 20.93, "next_mm": 11.738880304367864, "old": false}], "both_mm": null}','2028-12-22','2031-02-05','forecast',49,'stageleft','2028-10-24','2028-10-24','[{"on": "2028-12-08", "grade": "plan", "part": "brushes", "word": "Plan the change", "act": "Plan the change.", "why": "The limit may come by 22 December 2028."}, {"on": "2028-12-15", "grade": "change", "part": "brushes", "word": "Change or measure now", "act": "Change the set or measure it now.", "why": "The limit may come by 22 December 2028."}, {"on": "2028-10-24", "grade": "change", "part": "look", "word": "Change or measure now", "act": "Measure it now, or change the set.", "why": "The look of 23 October 2028 is overdue."}]','[]');
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
INSERT INTO "use_entry" VALUES('demo-act-002979.use','demo-act-002979',1,'2025-05-13T08:14:00',0.0,0.0,'0','first',0,NULL,'demo-act-002979');
INSERT INTO "use_entry" VALUES('demo-act-002980','demo-act-002979',2,'2025-06-17T08:46:00',51.0,51.0,'51','',0,NULL,'demo-act-002980');
INSERT INTO "use_entry" VALUES('demo-act-002981','demo-act-002979',3,'2025-07-22T08:26:00',71.0,71.0,'71','',0,NULL,'demo-act-002981');
INSERT INTO "use_entry" VALUES('demo-act-002986','demo-act-002979',4,'2025-08-26T08:07:00',71.0,71.0,'71','',0,NULL,'demo-act-002986');
INSERT INTO "use_entry" VALUES('demo-act-002987','demo-act-002979',5,'2025-09-30T08:15:00',103.0,103.0,'103','',0,NULL,'demo-act-002987');
INSERT INTO "use_entry" VALUES('demo-act-002988.use','demo-act-002979',6,'2025-10-28T08:43:00',131.0,131.0,'131','',0,NULL,'demo-act-002988');
INSERT INTO "use_entry" VALUES('demo-act-002992','demo-act-002979',7,'2025-11-04T08:01:00',138.0,138.0,'138','',0,NULL,'demo-act-002992');
INSERT INTO "use_entry" VALUES('demo-act-002993','demo-act-002979',8,'2025-12-09T08:03:00',172.0,172.0,'172','',0,NULL,'demo-act-002993');
INSERT INTO "use_entry" VALUES('demo-act-002994','demo-act-002979',9,'2026-01-13T08:46:00',213.0,213.0,'213','',0,NULL,'demo-act-002994');
INSERT INTO "use_entry" VALUES('demo-act-002995.use','demo-act-002979',10,'2026-01-20T08:49:00',222.0,222.0,'222','',0,NULL,'demo-act-002995');
INSERT INTO "use_entry" VALUES('demo-act-002999','demo-act-002979',11,'2026-02-17T08:29:00',256.0,256.0,'256','',0,NULL,'demo-act-002999');
INSERT INTO "use_entry" VALUES('demo-act-003000.use','demo-act-002979',12,'2026-03-10T08:08:00',280.0,280.0,'280','',0,NULL,'demo-act-003000');
INSERT INTO "use_entry" VALUES('demo-act-003001','demo-act-002979',13,'2026-03-24T08:06:00',296.0,296.0,'296','',0,NULL,'demo-act-003001');
INSERT INTO "use_entry" VALUES('demo-act-003002.use','demo-act-002979',14,'2026-04-14T08:44:00',322.0,322.0,'322','',0,NULL,'demo-act-003002');
INSERT INTO "use_entry" VALUES('demo-act-003006','demo-act-002979',15,'2026-04-28T08:30:00',341.0,341.0,'341','',0,NULL,'demo-act-003006');
INSERT INTO "use_entry" VALUES('demo-act-003007','demo-act-002979',16,'2026-06-02T08:01:00',393.0,393.0,'393','',0,NULL,'demo-act-003007');
INSERT INTO "use_entry" VALUES('demo-act-003008.use','demo-act-002979',17,'2026-07-07T08:40:00',438.0,438.0,'438','',0,NULL,'demo-act-003008');
INSERT INTO "use_entry" VALUES('demo-act-003012','demo-act-002979',18,'2026-08-11T08:01:00',438.0,438.0,'438','',0,NULL,'demo-act-003012');
INSERT INTO "use_entry" VALUES('demo-act-003013','demo-act-002979',19,'2026-09-15T08:12:00',454.0,454.0,'454','',0,NULL,'demo-act-003013');
INSERT INTO "use_entry" VALUES('demo-act-003014.use','demo-act-002979',20,'2026-09-29T08:11:00',468.0,468.0,'468','',0,NULL,'demo-act-003014');
INSERT INTO "use_entry" VALUES('demo-act-003018','demo-act-002979',21,'2026-10-20T08:33:00',492.0,492.0,'492','',0,NULL,'demo-act-003018');
INSERT INTO "use_entry" VALUES('demo-act-003019.use','demo-act-002979',22,'2026-11-24T08:26:00',526.0,526.0,'526','',0,NULL,'demo-act-003019');
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
CREATE INDEX moved_of_scope on moved (scope, scope_id) where ended_act_id is null and confirmed_act_id is null;
CREATE INDEX rest_of_moved on rest (moved_id);
COMMIT;
