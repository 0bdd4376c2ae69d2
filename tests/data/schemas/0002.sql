pragma application_id = 1315926646;
pragma user_version = 2;
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
INSERT INTO "act" VALUES('demo-act-000001',1,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'70d2b198f579dae8f022dd9a70154917386bc1348727e62c0c120fd1b6dece64','demo-act-000001','{}','{"name": "Winch motor, four-pole shunt", "new_mm": 32.0, "thickness_mm": 12.5, "width_mm": 25.0, "limit_mm": 14.0, "limit_source": "maker", "commutator_d_mm": 120.0, "bars": 87.0, "poles": 4.0, "grade_family": "electrographite", "grade": "LP-B 214", "expected_life_units": 2600.0, "rated_v": 220.0, "rated_a": 38.0, "rated_rpm": 1450.0, "holder_gap_mm": 2.2, "position 1": "A at 45\u00b0, arm 1, +", "position 2": "B at 135\u00b0, arm 2, -", "position 3": "C at 225\u00b0, arm 3, +", "position 4": "D at 315\u00b0, arm 4, -"}');
INSERT INTO "act" VALUES('demo-act-000002',2,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'18a6646d6c9a87e2d54bfad1476ff6c8b2da913fd4d079f1f361a9e93cd3fe81','demo-act-000002','{}','{"name": "Bench tool motor, universal", "new_mm": 15.0, "thickness_mm": 6.4, "width_mm": 12.5, "limit_mm": 5.5, "limit_source": "maker", "commutator_d_mm": 30.0, "bars": 28.0, "grade_family": "resin-bonded", "grade": "LP-B 031", "rated_v": 230.0, "rated_a": 7.4, "expected_life_units": 340.0, "position 1": "A at 90\u00b0, arm 1, +", "position 2": "B at 270\u00b0, arm 2, -"}');
INSERT INTO "act" VALUES('demo-act-002462',2462,'2025-05-13T08:25:00','person-3-of-demo','add a motor','demo-act-002462','696e8b183077ee06a7546f43a6eee894e19c45c939e7f101aa2afd40f5a25483','demo-act-002462','{}','{"tag": "A-10", "name": "Haze fan", "figures": {"new_mm": 24.0, "limit_mm": 9.0, "thickness_mm": 6.3, "width_mm": 11.0, "grade_family": "resin-bonded", "expected_life_units": 1200.0, "instrument": "digital-caliper", "limit_source": "maker"}}');
INSERT INTO "act" VALUES('demo-act-002463',2463,'2025-06-17T08:38:00','person-1-of-demo','log use','demo-act-002462','b84a945b4f8f5e254991889758f4118a902b34877f4c76db17b062bbb02ded82','demo-act-002463','{"counter": 0.0, "total": 0.0, "day": "2025-05-13"}','{"counter": 48.0, "total": 48.0, "typed": "48", "day": "2025-06-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002464',2464,'2025-07-22T08:18:00','person-2-of-demo','log use','demo-act-002462','2a06a17681c96a940f6be91c6bfb69ac347094b4bf4d288980e40e6a119b17fb','demo-act-002464','{"counter": 48.0, "total": 48.0, "day": "2025-06-17"}','{"counter": 67.0, "total": 67.0, "typed": "67", "day": "2025-07-22", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002465',2465,'2025-08-05T08:37:00','person-3-of-demo','start a round','demo-act-002462','3070a7cbd3e8dbcb7d7ccdebd082066c5fe44fcc6d5678c21bb609b368132770','demo-act-002465','{}','{"set": 1, "kind": "check", "counter": 67.0, "total": 67.0}');
INSERT INTO "act" VALUES('demo-act-002466',2466,'2025-08-05T08:39:00','person-3-of-demo','measure','demo-act-002462','37043f27169ca99dfbd49b9a94e47c0a1c931476d93c25055fd94b3cb8c2389f','demo-act-002466','{}','{"position": "A", "typed": "22.76", "length_mm": 22.76, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002467',2467,'2025-08-05T08:40:00','person-3-of-demo','measure','demo-act-002462','7dc9409e63a49b09f25d7e74b014fddc8a50b14417ceaf5cd205cfa2440f18f6','demo-act-002467','{}','{"position": "B", "typed": "22.74", "length_mm": 22.74, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002468',2468,'2025-08-05T09:07:00','person-3-of-demo','finish a round','demo-act-002462','2d3901115b1dd0305eaf9b7f1dcf130620b80edf77618b804d71b26796fbae75','demo-act-002462','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-002469',2469,'2025-08-26T08:10:00','person-3-of-demo','log use','demo-act-002462','2a06a17681c96a940f6be91c6bfb69ac347094b4bf4d288980e40e6a119b17fb','demo-act-002469','{"counter": 67.0, "total": 67.0, "day": "2025-07-22"}','{"counter": 67.0, "total": 67.0, "typed": "67", "day": "2025-08-26", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002470',2470,'2025-09-30T08:39:00','person-1-of-demo','log use','demo-act-002462','012a4e4765ae05ea35029f802e61d0fd8788ce308741ea47fc1545980f3dc20c','demo-act-002470','{"counter": 67.0, "total": 67.0, "day": "2025-08-26"}','{"counter": 95.0, "total": 95.0, "typed": "95", "day": "2025-09-30", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002471',2471,'2025-10-28T08:40:00','person-2-of-demo','start a round','demo-act-002462','cc78325e7ff37ea22d998a37347ceda8ee5cb951a33e332b01729f2b5fc0e7c8','demo-act-002471','{}','{"set": 1, "kind": "check", "counter": 124.0, "total": 124.0}');
INSERT INTO "act" VALUES('demo-act-002472',2472,'2025-10-28T08:42:00','person-2-of-demo','measure','demo-act-002462','5ad38dc1770e34922a53b5c7416b393ca88a93b75439f6825e06a52144609ba0','demo-act-002472','{}','{"position": "A", "typed": "22.13", "length_mm": 22.13, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002473',2473,'2025-10-28T08:43:00','person-2-of-demo','measure','demo-act-002462','d5ee6da6a9660e18ea452d7a3560502d178a73ba210c7ade45f3054a18e9d2d8','demo-act-002473','{}','{"position": "B", "typed": "22.2", "length_mm": 22.2, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002474',2474,'2025-10-28T09:10:00','person-2-of-demo','finish a round','demo-act-002462','05426f1089a00b2bd5d5a6611055d133e1185724d899967c1a0ee0674ba6a5c5','demo-act-002462','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-002475',2475,'2025-11-04T08:19:00','person-3-of-demo','log use','demo-act-002462','ee8cab00b45aa8ddce612f3345b0d0645685ea8bed6302648561daec4cf8cf45','demo-act-002475','{"counter": 124.0, "total": 124.0, "day": "2025-10-28"}','{"counter": 132.0, "total": 132.0, "typed": "132", "day": "2025-11-04", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002476',2476,'2025-12-09T08:18:00','person-1-of-demo','log use','demo-act-002462','123c883ef672a5a2a42775aed1173bda7224ed097366a7c83ce37d86633140f9','demo-act-002476','{"counter": 132.0, "total": 132.0, "day": "2025-11-04"}','{"counter": 167.0, "total": 167.0, "typed": "167", "day": "2025-12-09", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002477',2477,'2026-01-13T08:14:00','person-2-of-demo','log use','demo-act-002462','ef2872f7e13e29c4e263850f6c6272987df1daeecc25f7661bfd0c95364fd66d','demo-act-002477','{"counter": 167.0, "total": 167.0, "day": "2025-12-09"}','{"counter": 204.0, "total": 204.0, "typed": "204", "day": "2026-01-13", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002478',2478,'2026-01-20T08:01:00','person-2-of-demo','start a round','demo-act-002462','4a2baeb8a7b80a5cf638211263e3244fa0cd4c3d1bf2bc329a3faf7e151efe96','demo-act-002478','{}','{"set": 1, "kind": "check", "counter": 211.0, "total": 211.0}');
INSERT INTO "act" VALUES('demo-act-002479',2479,'2026-01-20T08:03:00','person-2-of-demo','measure','demo-act-002462','db512aa8d9e7202687a359d4501948c4fed99eb9e3c2b996272c80c845545bb4','demo-act-002479','{}','{"position": "A", "typed": "21.18", "length_mm": 21.18, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002480',2480,'2026-01-20T08:04:00','person-2-of-demo','measure','demo-act-002462','fc21853601483cb5fd481f21a20dd2c2fd26ab1a87b0ab26465be73785906218','demo-act-002480','{}','{"position": "B", "typed": "21.11", "length_mm": 21.11, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002481',2481,'2026-01-20T08:31:00','person-2-of-demo','finish a round','demo-act-002462','2e6c2cb9460d73dbe06abc57d2ad2b01d631a8bee1a71f027160a92197f67bdb','demo-act-002462','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-002482',2482,'2026-02-17T08:24:00','person-3-of-demo','log use','demo-act-002462','bf04de19549ace3bcf233592a8b461298333fe70c27f251b0dc16b42d4f0a15f','demo-act-002482','{"counter": 211.0, "total": 211.0, "day": "2026-01-20"}','{"counter": 244.0, "total": 244.0, "typed": "244", "day": "2026-02-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002483',2483,'2026-03-17T08:05:00','person-1-of-demo','fit a new set','demo-act-002462','c1b7c4e3747a47b3e325a2dd5f2ff0eccebf10fb2e17d277708cc70d533b6290','demo-act-002483','{"set": 1, "ran": 283.0}','{"set": 2, "reason": "with other work", "lengths_mm": {"A": 24.07, "B": 23.95}}');
INSERT INTO "act" VALUES('demo-act-002484',2484,'2026-03-24T08:10:00','person-1-of-demo','log use','demo-act-002462','febca1e1a16c9650387191e99a01b301ce311aa89d42636eedf8ffc6b8d06c78','demo-act-002484','{"counter": 283.0, "total": 283.0, "day": "2026-03-17"}','{"counter": 291.0, "total": 291.0, "typed": "291", "day": "2026-03-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002485',2485,'2026-04-14T08:37:00','person-2-of-demo','start a round','demo-act-002462','9953450a26f221a1998cfaee531ae5161a200dffa6960e21fe734622ca25f888','demo-act-002485','{}','{"set": 2, "kind": "check", "counter": 317.0, "total": 317.0}');
INSERT INTO "act" VALUES('demo-act-002486',2486,'2026-04-14T08:39:00','person-2-of-demo','measure','demo-act-002462','1907792bc70f8c4a2c2e8b05f59ed5b3f479faea546d70334776dafbac3b7ed5','demo-act-002486','{}','{"position": "A", "typed": "23.37", "length_mm": 23.37, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002487',2487,'2026-04-14T08:40:00','person-2-of-demo','measure','demo-act-002462','f7a61089e25bbf8d134aba6355625866106118e2fbb8bfbf060012f49108e2b4','demo-act-002487','{}','{"position": "B", "typed": "23.43", "length_mm": 23.43, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002488',2488,'2026-04-14T09:07:00','person-2-of-demo','finish a round','demo-act-002462','49fe835f79f963885abcfd01ca86f72ffb6fe1e65bada38f84ca406a1f0ec89c','demo-act-002462','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-002489',2489,'2026-04-28T08:30:00','person-2-of-demo','log use','demo-act-002462','2b23f0cad7c846447011418ca0f03ba337a59afa0af3168257f7770fcb522d0b','demo-act-002489','{"counter": 317.0, "total": 317.0, "day": "2026-04-14"}','{"counter": 335.0, "total": 335.0, "typed": "335", "day": "2026-04-28", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002490',2490,'2026-06-02T08:44:00','person-1-of-demo','log use','demo-act-002462','262ba0f00caf3bbb0b6bd0d8107357dc473616082d4bd7e72147d2cd307ae09e','demo-act-002490','{"counter": 335.0, "total": 335.0, "day": "2026-04-28"}','{"counter": 384.0, "total": 384.0, "typed": "384", "day": "2026-06-02", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002491',2491,'2026-07-07T08:04:00','person-2-of-demo','start a round','demo-act-002462','ae0f5432d7a54713e57db3d3c1f28a95717b1d2787e6a5346a7544cd81ee11ce','demo-act-002491','{}','{"set": 2, "kind": "check", "counter": 430.0, "total": 430.0}');
INSERT INTO "act" VALUES('demo-act-002492',2492,'2026-07-07T08:06:00','person-2-of-demo','measure','demo-act-002462','3e37fa0e72c641e2960a28597c992bd90a96e7d29545eb430b0c7b56ae24f27e','demo-act-002492','{}','{"position": "A", "typed": "22.08", "length_mm": 22.08, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002493',2493,'2026-07-07T08:07:00','person-2-of-demo','measure','demo-act-002462','1d5dd44cf3705e6aabb90743145777a9603fe889b8fa3a4c8b89dcd331011d31','demo-act-002493','{}','{"position": "B", "typed": "22.24", "length_mm": 22.24, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002494',2494,'2026-07-07T08:34:00','person-2-of-demo','finish a round','demo-act-002462','b7644d8def73f09f52d349eb0616944a76f1b7b52020f518560055faf4ce90bb','demo-act-002462','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-002495',2495,'2026-08-11T08:13:00','person-3-of-demo','log use','demo-act-002462','9daa0c800cd1013f0d72cf926c7e50659145254d12b050834d8a27302c86fc09','demo-act-002495','{"counter": 430.0, "total": 430.0, "day": "2026-07-07"}','{"counter": 430.0, "total": 430.0, "typed": "430", "day": "2026-08-11", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002496',2496,'2026-09-15T08:45:00','person-1-of-demo','log use','demo-act-002462','824fd5c7fd4344e2a896afbcc93812a09d32c2b23dbb7719fc631124710172f8','demo-act-002496','{"counter": 430.0, "total": 430.0, "day": "2026-08-11"}','{"counter": 444.0, "total": 444.0, "typed": "444", "day": "2026-09-15", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002497',2497,'2026-10-13T08:41:00','person-2-of-demo','start a round','demo-act-002462','305916dbcdcb41d6d29732c8547eeb1b341cb8fea91fa8ce7efb8d28b116466f','demo-act-002497','{}','{"set": 2, "kind": "check", "counter": 477.0, "total": 477.0}');
INSERT INTO "act" VALUES('demo-act-002498',2498,'2026-10-13T08:43:00','person-2-of-demo','measure','demo-act-002462','0108c0c2f5f7c455d48131ca144ccac265863472a43bbe1b94cca80bd654a036','demo-act-002498','{}','{"position": "A", "typed": "21.66", "length_mm": 21.66, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002499',2499,'2026-10-13T08:44:00','person-2-of-demo','measure','demo-act-002462','07bd53da4481f943b5f33b9cbc1292dde0faf5f9a3277332dae3482c39fc7910','demo-act-002499','{}','{"position": "B", "typed": "21.62", "length_mm": 21.62, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002500',2500,'2026-10-13T09:11:00','person-2-of-demo','finish a round','demo-act-002462','a4c23800c8070071c2760a2508ad860eec94c87b999d83fb1b1548e3bb25f178','demo-act-002462','{"finished": false}','{"finished": true}');
INSERT INTO "act" VALUES('demo-act-002501',2501,'2026-10-20T08:08:00','person-2-of-demo','log use','demo-act-002462','e0410eb92e8dcfb0c4f8313f446b2837f0c93c431dea5c60f6fcafc277005743','demo-act-002501','{"counter": 477.0, "total": 477.0, "day": "2026-10-13"}','{"counter": 484.0, "total": 484.0, "typed": "484", "day": "2026-10-20", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002502',2502,'2026-11-24T08:41:00','person-3-of-demo','log use','demo-act-002462','d737ad63a001bc41bf885070fd70b865b0ae853911dc2642a634ca2a4c119962','demo-act-002502','{"counter": 484.0, "total": 484.0, "day": "2026-10-20"}','{"counter": 522.0, "total": 522.0, "typed": "522", "day": "2026-11-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002602',2602,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'7bef20a2e15d206f5f8830ca9001fb5e321b3ccab7a363d49c47ae2743f600d8','demo-act-002602','{}','{"window": "Summer, house dark", "first": "2023-07-01", "last": "2023-08-31", "yearly": true, "place": ""}');
INSERT INTO "act" VALUES('demo-act-002603',2603,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'ccfec9fc9a594e997e5d84a7b8a56ab915a2f3d6bc4cbae4cf2b57511bcea4ee','demo-act-002603','{}','{"window": "Get-in of the winter piece", "first": "2026-12-07", "last": "2026-12-13", "yearly": false, "place": "stage"}');
INSERT INTO "act" VALUES('demo-act-002604',2604,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'2ebd376e3de091a53988d9f1035398c48a6ad2b091abcabe5335680ef366ed31','demo-act-002604','{}','{"window": "February refit", "first": "2027-02-08", "last": "2027-02-21", "yearly": false, "place": ""}');
INSERT INTO "act" VALUES('demo-act-002606',2606,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'db6b3ad24a5bc3c32cd8b5b6a49e9ab9a8cb7b744605ec5e92165c901a6bd8b1','fit.clearance-most','{"value": null}','{"value": 0.25, "class": "", "why": "the house keeps brushes tighter after two chipped sets"}');
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
INSERT INTO "brush_set" VALUES('demo-act-002462.set','demo-act-002462',1,'2025-05-13T08:25:00',0.0,1,'2026-03-17T08:05:00',283.0,'with other work','demo-act-002462');
INSERT INTO "brush_set" VALUES('demo-act-002483','demo-act-002462',2,'2026-03-17T08:05:00',283.0,1,NULL,NULL,NULL,'demo-act-002483');
CREATE TABLE finding (
    id text primary key,
    round_id text not null references round (id),
    position_number integer not null check (position_number between 1 and 40),
    seen text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
CREATE TABLE forecast (
    motor_id text primary key references motor (id),
    ahead_json text not null
) strict;
INSERT INTO "forecast" VALUES('demo-act-002462','{"visits": 4, "past_sets": 1, "life_units": 1386.3129797583208, "p05_units": 1215.8511657714844, "p10_units": 1317.6166259765625, "p25_units": 1433.8477478027344, "p50_units": 1574.6337890625, "p75_units": 1732.4453735351562, "p90_units": 1876.5857299804688, "p95_units": 1965.8004638671875, "look_units": 1215.8511754894862, "p10_on": "2028-12-15", "p50_on": "2029-12-23", "p90_on": "2031-03-22", "look_on": "2028-10-10", "tail": 0.46277400851249695, "jumped": 0.0009240935905836523, "rate_mm_per_unit": 0.01082006748765707, "worst_position": 1, "seen_units": 477.0, "coarse": false}');
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
INSERT INTO "forecast_made" VALUES('demo-act-002465','demo-act-002462.set','demo-act-002462','2025-08-05T09:07:00',1,6.30305572509765625003e+02,6.98391223144531295488e+02,1.03755136108398437501e+03,1583.6484375,1.84145190429687431784e+03,6.3030557280860375611e+02,4.59038585424423217773e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002471','demo-act-002462.set','demo-act-002462','2025-10-28T09:10:00',2,7.85429718017578124998e+02,8.87632720947265625027e+02,1.19902697753906250003e+03,1.60536879882812490907e+03,1.76169465332031177241e+03,785.42972071853,7.10607290267944335937e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002478','demo-act-002462.set','demo-act-002462','2026-01-20T08:31:00',3,8.99594226074218795453e+02,9.7088521118164067044e+02,1.20209445190429687505e+03,1.47779991455078129553e+03,1.5618824096679686591e+03,8.99594226637156680215e+02,4.65021938085556030273e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002485','demo-act-002483','demo-act-002462','2026-04-14T09:07:00',2,944.2498046875,1043.19169921875,1.56581768798828124995e+03,2.65794077148437509101e+03,3.34384374999999681686e+03,9.44249810483539476959e+02,6.65738642215728759765e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002491','demo-act-002483','demo-act-002462','2026-07-07T08:34:00',3,1.14820987548828134096e+03,1.26395128784179678401e+03,1.55047845458984375e+03,1.90556931152343759098e+03,2.02941180419921874994e+03,1.14820987906772643328e+03,4.65026825666427612304e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002497','demo-act-002483','demo-act-002462','2026-10-13T09:11:00',4,1.21585116577148437497e+03,1.31761662597656254542e+03,1574.6337890625,1.87658572998046884088e+03,1.96580046386718754547e+03,1.21585117548948619511e+03,4.62774008512496948242e-01);
CREATE TABLE import_file (
    id text primary key,
    name text not null,
    sha256 text not null,
    data blob not null,
    at text not null,
    person_id text not null references person (id)
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
INSERT INTO "motor" VALUES('demo-act-002462','A-10','Haze fan','stage left','appliance',NULL,1,'demo-act-002462');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('demo-act-002462','expected_life_units',1200.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002462','grade_family',NULL,'resin-bonded');
INSERT INTO "motor_figure" VALUES('demo-act-002462','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-002462','limit_mm',9.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002462','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('demo-act-002462','new_mm',24.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002462','thickness_mm',6.3,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002462','width_mm',11.0,NULL);
CREATE TABLE motor_type (
    id text primary key,
    name text not null unique collate nocase,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    act_id text not null references act (id)
) strict;
INSERT INTO "motor_type" VALUES('demo-act-000001','Winch motor, four-pole shunt','industrial','demo-act-000001');
INSERT INTO "motor_type" VALUES('demo-act-000002','Bench tool motor, universal','tool','demo-act-000002');
CREATE TABLE past_set (
    set_id text primary key references brush_set (id),
    motor_id text not null references motor (id),
    log_rate real not null, -- ln(mm per unit of use), mean of the set
    at_most integer not null check (at_most in (0, 1))
) strict;
INSERT INTO "past_set" VALUES('demo-act-002462.set','demo-act-002462',-4.30278629036809245889e+00,0);
CREATE TABLE person (
    id text primary key,
    name text not null unique collate nocase,
    made_at text not null
) strict;
INSERT INTO "person" VALUES('person-1-of-demo','Ines Torvald','2022-09-06T00:00:00');
INSERT INTO "person" VALUES('person-2-of-demo','Bram Aldous','2022-09-06T00:00:00');
INSERT INTO "person" VALUES('person-3-of-demo','Maud Celliers','2022-09-06T00:00:00');
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
INSERT INTO "position" VALUES('demo-act-002462',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('demo-act-002462',2,'B',270.0,2,'-');
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
INSERT INTO "reading" VALUES('demo-act-002466','demo-act-002465',1,'22.76','mm','length','digital-caliper',22.76,22.76,0.05,22.76,22.76,NULL,NULL,'','','',NULL,'demo-act-002466');
INSERT INTO "reading" VALUES('demo-act-002467','demo-act-002465',2,'22.74','mm','length','digital-caliper',22.74,22.74,0.05,22.74,22.74,NULL,NULL,'','','',NULL,'demo-act-002467');
INSERT INTO "reading" VALUES('demo-act-002472','demo-act-002471',1,'22.13','mm','length','digital-caliper',22.13,22.13,0.05,22.13,22.13,NULL,NULL,'','','',NULL,'demo-act-002472');
INSERT INTO "reading" VALUES('demo-act-002473','demo-act-002471',2,'22.2','mm','length','digital-caliper',22.2,22.2,0.05,22.2,22.2,NULL,NULL,'','','',NULL,'demo-act-002473');
INSERT INTO "reading" VALUES('demo-act-002479','demo-act-002478',1,'21.18','mm','length','digital-caliper',21.18,21.18,0.05,21.18,21.18,NULL,NULL,'','','',NULL,'demo-act-002479');
INSERT INTO "reading" VALUES('demo-act-002480','demo-act-002478',2,'21.11','mm','length','digital-caliper',21.11,21.11,0.05,21.11,21.11,NULL,NULL,'','','',NULL,'demo-act-002480');
INSERT INTO "reading" VALUES('demo-act-002483.1','demo-act-002483.fit',1,'24.07','mm','length','digital-caliper',24.07,24.07,0.05,24.07,24.07,NULL,NULL,'','','',NULL,'demo-act-002483');
INSERT INTO "reading" VALUES('demo-act-002483.2','demo-act-002483.fit',2,'23.95','mm','length','digital-caliper',23.95,23.95,0.05,23.95,23.95,NULL,NULL,'','','',NULL,'demo-act-002483');
INSERT INTO "reading" VALUES('demo-act-002486','demo-act-002485',1,'23.37','mm','length','digital-caliper',23.37,23.37,0.05,23.37,23.37,NULL,NULL,'','','',NULL,'demo-act-002486');
INSERT INTO "reading" VALUES('demo-act-002487','demo-act-002485',2,'23.43','mm','length','digital-caliper',23.43,23.43,0.05,23.43,23.43,NULL,NULL,'','','',NULL,'demo-act-002487');
INSERT INTO "reading" VALUES('demo-act-002492','demo-act-002491',1,'22.08','mm','length','digital-caliper',22.08,22.08,0.05,22.08,22.08,NULL,NULL,'','','',NULL,'demo-act-002492');
INSERT INTO "reading" VALUES('demo-act-002493','demo-act-002491',2,'22.24','mm','length','digital-caliper',22.24,22.24,0.05,22.24,22.24,NULL,NULL,'','','',NULL,'demo-act-002493');
INSERT INTO "reading" VALUES('demo-act-002498','demo-act-002497',1,'21.66','mm','length','digital-caliper',21.66,21.66,0.05,21.66,21.66,NULL,NULL,'','','',NULL,'demo-act-002498');
INSERT INTO "reading" VALUES('demo-act-002499','demo-act-002497',2,'21.62','mm','length','digital-caliper',21.62,21.62,0.05,21.62,21.62,NULL,NULL,'','','',NULL,'demo-act-002499');
CREATE TABLE renewal (
    set_id text not null references brush_set (id),
    position_number integer not null check (position_number between 1 and 40),
    at text not null,
    total_units real not null check (total_units >= 0),
    length_mm real check (length_mm > 0),
    sd_mm real check (sd_mm > 0),
    act_id text not null references act (id),
    primary key (set_id, position_number, act_id)
) strict;
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
INSERT INTO "round" VALUES('demo-act-002465','demo-act-002462','demo-act-002462.set','check','2025-08-05T08:37:00',1,67.0,'2025-08-05T09:07:00','demo-act-002465');
INSERT INTO "round" VALUES('demo-act-002471','demo-act-002462','demo-act-002462.set','check','2025-10-28T08:40:00',2,124.0,'2025-10-28T09:10:00','demo-act-002471');
INSERT INTO "round" VALUES('demo-act-002478','demo-act-002462','demo-act-002462.set','check','2026-01-20T08:01:00',3,211.0,'2026-01-20T08:31:00','demo-act-002478');
INSERT INTO "round" VALUES('demo-act-002483.fit','demo-act-002462','demo-act-002483','fitting','2026-03-17T08:05:00',4,283.0,'2026-03-17T08:05:00','demo-act-002483');
INSERT INTO "round" VALUES('demo-act-002485','demo-act-002462','demo-act-002483','check','2026-04-14T08:37:00',5,317.0,'2026-04-14T09:07:00','demo-act-002485');
INSERT INTO "round" VALUES('demo-act-002491','demo-act-002462','demo-act-002483','check','2026-07-07T08:04:00',6,430.0,'2026-07-07T08:34:00','demo-act-002491');
INSERT INTO "round" VALUES('demo-act-002497','demo-act-002462','demo-act-002483','check','2026-10-13T08:41:00',7,477.0,'2026-10-13T09:11:00','demo-act-002497');
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
INSERT INTO "rule_override" VALUES('demo-act-002606','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-002606');
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
INSERT INTO "shutdown" VALUES('demo-act-002602','Summer, house dark','2023-07-01','2023-08-31',1,'',NULL,'demo-act-002602');
INSERT INTO "shutdown" VALUES('demo-act-002603','Get-in of the winter piece','2026-12-07','2026-12-13',0,'stage',NULL,'demo-act-002603');
INSERT INTO "shutdown" VALUES('demo-act-002604','February refit','2027-02-08','2027-02-21',0,'',NULL,'demo-act-002604');
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Lanternmoor Playhouse, engineering shop','2026-11-24','2026-11-28T17:49:24');
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
, early_on text, late_on text, look_by text not null default '', version integer not null default 0) strict;
INSERT INTO "standing" VALUES('demo-act-002462',2606,'fit',0,'2029-12-23','2028-10-10','2029-12-23',1.26200000000000009945e+01,'Run on. Brush B has 12.6 mm to its limit, 84% of its usable carbon. First brush at its limit at about 1 570 h, around 23 December 2029; 8 times in 10 between 1 310 and 1 870 h, 15 December 2028 to 22 March 2031. Look again by 1 210 h, 10 October 2028: at most 5 chances in 100 that the limit is passed before. (From 4 rounds and 1 earlier set.)','Run on','','{"new_mm": 24.0, "limit_mm": 9.0, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 21.66, "next_mm": 12.481487974589372, "old": false}, {"label": "B", "length_mm": 21.62, "next_mm": 11.873452578649372, "old": false}]}','2028-12-15','2031-03-22','forecast',41);
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
INSERT INTO "type_figure" VALUES('demo-act-000001','expected_life_units',2600.0,NULL);
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
INSERT INTO "use_entry" VALUES('demo-act-002462.use','demo-act-002462',1,'2025-05-13T08:25:00',0.0,0.0,'0','first',NULL,'demo-act-002462');
INSERT INTO "use_entry" VALUES('demo-act-002463','demo-act-002462',2,'2025-06-17T08:38:00',48.0,48.0,'48','',NULL,'demo-act-002463');
INSERT INTO "use_entry" VALUES('demo-act-002464','demo-act-002462',3,'2025-07-22T08:18:00',67.0,67.0,'67','',NULL,'demo-act-002464');
INSERT INTO "use_entry" VALUES('demo-act-002469','demo-act-002462',4,'2025-08-26T08:10:00',67.0,67.0,'67','',NULL,'demo-act-002469');
INSERT INTO "use_entry" VALUES('demo-act-002470','demo-act-002462',5,'2025-09-30T08:39:00',95.0,95.0,'95','',NULL,'demo-act-002470');
INSERT INTO "use_entry" VALUES('demo-act-002471.use','demo-act-002462',6,'2025-10-28T08:40:00',124.0,124.0,'124','',NULL,'demo-act-002471');
INSERT INTO "use_entry" VALUES('demo-act-002475','demo-act-002462',7,'2025-11-04T08:19:00',132.0,132.0,'132','',NULL,'demo-act-002475');
INSERT INTO "use_entry" VALUES('demo-act-002476','demo-act-002462',8,'2025-12-09T08:18:00',167.0,167.0,'167','',NULL,'demo-act-002476');
INSERT INTO "use_entry" VALUES('demo-act-002477','demo-act-002462',9,'2026-01-13T08:14:00',204.0,204.0,'204','',NULL,'demo-act-002477');
INSERT INTO "use_entry" VALUES('demo-act-002478.use','demo-act-002462',10,'2026-01-20T08:01:00',211.0,211.0,'211','',NULL,'demo-act-002478');
INSERT INTO "use_entry" VALUES('demo-act-002482','demo-act-002462',11,'2026-02-17T08:24:00',244.0,244.0,'244','',NULL,'demo-act-002482');
INSERT INTO "use_entry" VALUES('demo-act-002483.use','demo-act-002462',12,'2026-03-17T08:05:00',283.0,283.0,'283','',NULL,'demo-act-002483');
INSERT INTO "use_entry" VALUES('demo-act-002484','demo-act-002462',13,'2026-03-24T08:10:00',291.0,291.0,'291','',NULL,'demo-act-002484');
INSERT INTO "use_entry" VALUES('demo-act-002485.use','demo-act-002462',14,'2026-04-14T08:37:00',317.0,317.0,'317','',NULL,'demo-act-002485');
INSERT INTO "use_entry" VALUES('demo-act-002489','demo-act-002462',15,'2026-04-28T08:30:00',335.0,335.0,'335','',NULL,'demo-act-002489');
INSERT INTO "use_entry" VALUES('demo-act-002490','demo-act-002462',16,'2026-06-02T08:44:00',384.0,384.0,'384','',NULL,'demo-act-002490');
INSERT INTO "use_entry" VALUES('demo-act-002491.use','demo-act-002462',17,'2026-07-07T08:04:00',430.0,430.0,'430','',NULL,'demo-act-002491');
INSERT INTO "use_entry" VALUES('demo-act-002495','demo-act-002462',18,'2026-08-11T08:13:00',430.0,430.0,'430','',NULL,'demo-act-002495');
INSERT INTO "use_entry" VALUES('demo-act-002496','demo-act-002462',19,'2026-09-15T08:45:00',444.0,444.0,'444','',NULL,'demo-act-002496');
INSERT INTO "use_entry" VALUES('demo-act-002497.use','demo-act-002462',20,'2026-10-13T08:41:00',477.0,477.0,'477','',NULL,'demo-act-002497');
INSERT INTO "use_entry" VALUES('demo-act-002501','demo-act-002462',21,'2026-10-20T08:08:00',484.0,484.0,'484','',NULL,'demo-act-002501');
INSERT INTO "use_entry" VALUES('demo-act-002502','demo-act-002462',22,'2026-11-24T08:41:00',522.0,522.0,'522','',NULL,'demo-act-002502');
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
CREATE INDEX past_set_by_motor on past_set (motor_id);
CREATE INDEX forecast_made_by_set on forecast_made (set_id);
CREATE INDEX policy_by_scope on policy (scope, scope_id) where struck_act_id is null;
CREATE INDEX standing_outlook on standing (early_on, motor_id);
CREATE INDEX standing_counts on standing (early_on, look_on, stage, motor_id);
CREATE INDEX standing_look on standing (look_on, motor_id);
CREATE INDEX round_by_set on round (set_id);
COMMIT;
