pragma application_id = 1315926646;
pragma user_version = 3;
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
INSERT INTO "act" VALUES('demo-act-000001',1,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'f73e8f631dc71b5ace2e7e767468d4ebc2cf209e1ca750f62cd8b40bf006b454','demo-act-000001','{}','{"name": "Winch motor, four-pole shunt", "new_mm": 32.0, "thickness_mm": 12.5, "width_mm": 25.0, "limit_mm": 14.0, "limit_source": "maker", "commutator_d_mm": 120.0, "bars": 87.0, "poles": 4.0, "grade_family": "electrographite", "grade": "LP-B 214", "expected_life_units": 2600.0, "mass_kg": 148.0, "force_nominal_n": 8.4, "rated_v": 220.0, "rated_a": 38.0, "rated_rpm": 1450.0, "holder_gap_mm": 2.2, "position 1": "A at 45\u00b0, arm 1, +", "position 2": "B at 135\u00b0, arm 2, -", "position 3": "C at 225\u00b0, arm 3, +", "position 4": "D at 315\u00b0, arm 4, -"}');
INSERT INTO "act" VALUES('demo-act-000002',2,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'18a6646d6c9a87e2d54bfad1476ff6c8b2da913fd4d079f1f361a9e93cd3fe81','demo-act-000002','{}','{"name": "Bench tool motor, universal", "new_mm": 15.0, "thickness_mm": 6.4, "width_mm": 12.5, "limit_mm": 5.5, "limit_source": "maker", "commutator_d_mm": 30.0, "bars": 28.0, "grade_family": "resin-bonded", "grade": "LP-B 031", "rated_v": 230.0, "rated_a": 7.4, "expected_life_units": 340.0, "position 1": "A at 90\u00b0, arm 1, +", "position 2": "B at 270\u00b0, arm 2, -"}');
INSERT INTO "act" VALUES('demo-act-002517',2517,'2025-05-13T08:25:00','person-3-of-demo','add a motor','demo-act-002517','696e8b183077ee06a7546f43a6eee894e19c45c939e7f101aa2afd40f5a25483','demo-act-002517','{}','{"tag": "A-10", "name": "Haze fan", "figures": {"new_mm": 24.0, "limit_mm": 9.0, "thickness_mm": 6.3, "width_mm": 11.0, "grade_family": "resin-bonded", "expected_life_units": 1200.0, "instrument": "digital-caliper", "limit_source": "maker"}}');
INSERT INTO "act" VALUES('demo-act-002518',2518,'2025-06-17T08:38:00','person-1-of-demo','log use','demo-act-002517','e19152071e8fd2142038f291c7e40e24f3826c9045faa1cd919ca45771fca3cd','demo-act-002518','{"counter": 0.0, "total": 0.0, "day": "2025-05-13"}','{"counter": 48.0, "total": 48.0, "typed": "48", "day": "2025-06-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002519',2519,'2025-07-22T08:18:00','person-2-of-demo','log use','demo-act-002517','070dd4dace47a8adc0580898717e4729a5f5fc3d489b07be6c313610b9fedf32','demo-act-002519','{"counter": 48.0, "total": 48.0, "day": "2025-06-17"}','{"counter": 67.0, "total": 67.0, "typed": "67", "day": "2025-07-22", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002520',2520,'2025-08-05T08:37:00','person-3-of-demo','open a sheet','demo-act-002517','78d97959ec0b84426ade56c2911f8e6b1915b3424ca480f1a2117b3faca0e20e','demo-act-002520','{}','{"set": 1, "kind": "check", "counter": 67.0, "total": 67.0, "sheet": 1, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002521',2521,'2025-08-05T08:39:00','person-3-of-demo','measure','demo-act-002517','c84fddf2963aa69887bf9e38e91f6d58bee1bdc5d0f5f8abfac4209e4b15bac4','demo-act-002521','{}','{"position": "A", "typed": "22.76", "length_mm": 22.76, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002522',2522,'2025-08-05T08:40:00','person-3-of-demo','measure','demo-act-002517','b8cfb597fd5ae1592c8280c06d5b010f548fca71cde4e3ed67dc6a3c6a7bbe13','demo-act-002522','{}','{"position": "B", "typed": "22.74", "length_mm": 22.74, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002523',2523,'2025-08-05T09:07:00','person-3-of-demo','sign a sheet','demo-act-002517','84b37d320065130fc6b2e01b37b169befc11d9c0cbdd08c23f2eec08402f3933','demo-act-002517','{}','{"sheet": 1, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002524',2524,'2025-08-26T08:10:00','person-3-of-demo','log use','demo-act-002517','070dd4dace47a8adc0580898717e4729a5f5fc3d489b07be6c313610b9fedf32','demo-act-002524','{"counter": 67.0, "total": 67.0, "day": "2025-07-22"}','{"counter": 67.0, "total": 67.0, "typed": "67", "day": "2025-08-26", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002525',2525,'2025-09-30T08:39:00','person-1-of-demo','log use','demo-act-002517','28b80a4ed98493dcfc120d5dd2592f0d825c174b6a6d732a01c06e01ce1f6499','demo-act-002525','{"counter": 67.0, "total": 67.0, "day": "2025-08-26"}','{"counter": 95.0, "total": 95.0, "typed": "95", "day": "2025-09-30", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002526',2526,'2025-10-28T08:40:00','person-2-of-demo','open a sheet','demo-act-002517','5f1ab1d2fc25061bfa7b4faa44ff9b8fef9e6e1dfd23ac2ec612a738f57a3a44','demo-act-002526','{}','{"set": 1, "kind": "check", "counter": 124.0, "total": 124.0, "sheet": 2, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002527',2527,'2025-10-28T08:42:00','person-2-of-demo','measure','demo-act-002517','ce6885d709d06da1415fdd6eed1b5ad9adfa1cec3f5b1734a26c91d3d167c50d','demo-act-002527','{}','{"position": "A", "typed": "22.13", "length_mm": 22.13, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002528',2528,'2025-10-28T08:43:00','person-2-of-demo','measure','demo-act-002517','9d3b39bdd096dda3cf937b712eb46b82a5f2ab04ee8dd52c2dd7f6d9e7660e40','demo-act-002528','{}','{"position": "B", "typed": "22.2", "length_mm": 22.2, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002529',2529,'2025-10-28T09:10:00','person-2-of-demo','sign a sheet','demo-act-002517','39bd4ede41f138aa74dfe7b1e13266a244fe33a634ca553f06707735ebf110bf','demo-act-002517','{}','{"sheet": 2, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002530',2530,'2025-11-04T08:19:00','person-3-of-demo','log use','demo-act-002517','6807cb814d325abd4c117a1cee17695ae462652a2c3009b183961fea663a3ffd','demo-act-002530','{"counter": 124.0, "total": 124.0, "day": "2025-10-28"}','{"counter": 132.0, "total": 132.0, "typed": "132", "day": "2025-11-04", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002531',2531,'2025-12-09T08:18:00','person-1-of-demo','log use','demo-act-002517','baf8d0f60bf710c7fa956b43669440d1ea9cfccce7cb45870072918a8b4d842e','demo-act-002531','{"counter": 132.0, "total": 132.0, "day": "2025-11-04"}','{"counter": 167.0, "total": 167.0, "typed": "167", "day": "2025-12-09", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002532',2532,'2026-01-13T08:14:00','person-2-of-demo','log use','demo-act-002517','47a8155d1b1b33d77da92aa6d7bd5968760c4cfa6cb5f5ab22bc2fb044d8127a','demo-act-002532','{"counter": 167.0, "total": 167.0, "day": "2025-12-09"}','{"counter": 204.0, "total": 204.0, "typed": "204", "day": "2026-01-13", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002533',2533,'2026-01-20T08:01:00','person-2-of-demo','open a sheet','demo-act-002517','7e4b08a71f19a0f80cb72890e38ec0dbefcb137aa7e9cb59e984745618f2c447','demo-act-002533','{}','{"set": 1, "kind": "check", "counter": 211.0, "total": 211.0, "sheet": 3, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002534',2534,'2026-01-20T08:03:00','person-2-of-demo','measure','demo-act-002517','087526ad582f6795b2720b4f7a743d04addb373ced62bb87e87d73efaf1d4c8d','demo-act-002534','{}','{"position": "A", "typed": "21.18", "length_mm": 21.18, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002535',2535,'2026-01-20T08:04:00','person-2-of-demo','measure','demo-act-002517','d386e57ba0b77da100bd8839642cd2598b72ba83cc884e41d072a90c2e5fc032','demo-act-002535','{}','{"position": "B", "typed": "21.11", "length_mm": 21.11, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002536',2536,'2026-01-20T08:31:00','person-2-of-demo','sign a sheet','demo-act-002517','078df75f82a683a69fa2e7d2efab8c56be13fb25cef939e7959f7fb686187a84','demo-act-002517','{}','{"sheet": 3, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002537',2537,'2026-02-17T08:24:00','person-3-of-demo','log use','demo-act-002517','601af0eb94ce2d8655a04cf93dc54bb357143bb2231b6c83bc90447f9ec07e90','demo-act-002537','{"counter": 211.0, "total": 211.0, "day": "2026-01-20"}','{"counter": 244.0, "total": 244.0, "typed": "244", "day": "2026-02-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002538',2538,'2026-03-17T08:05:00','person-1-of-demo','fit a new set','demo-act-002517','197700a5983e490580228d01765289604c5d9ad6d029ad1ec4625016f7989202','demo-act-002538','{"set": 1, "ran": 283.0}','{"set": 2, "reason": "with other work", "lengths_mm": {"A": 24.07, "B": 23.95}}');
INSERT INTO "act" VALUES('demo-act-002539',2539,'2026-03-24T08:10:00','person-1-of-demo','log use','demo-act-002517','cda7cd01b4bc512ebeb0d5e101cd7a2ff877dd1a646b881c2f219b1059eca6ce','demo-act-002539','{"counter": 283.0, "total": 283.0, "day": "2026-03-17"}','{"counter": 291.0, "total": 291.0, "typed": "291", "day": "2026-03-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002540',2540,'2026-04-14T08:37:00','person-2-of-demo','open a sheet','demo-act-002517','d83731c8195389c8c9fca599abdbc34b7b32e144189705fafc7c93fe70370fb7','demo-act-002540','{}','{"set": 2, "kind": "check", "counter": 317.0, "total": 317.0, "sheet": 4, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002541',2541,'2026-04-14T08:39:00','person-2-of-demo','measure','demo-act-002517','47cd427fd28ea089a797acc4a0fff8be1889c5670bbb3b50e4ba4adb877d47f6','demo-act-002541','{}','{"position": "A", "typed": "23.37", "length_mm": 23.37, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002542',2542,'2026-04-14T08:40:00','person-2-of-demo','measure','demo-act-002517','9e3da99bf6e97ef5510f83515eae6e11f4807b657fb19b3aa6d0f80d2ddc511d','demo-act-002542','{}','{"position": "B", "typed": "23.43", "length_mm": 23.43, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002543',2543,'2026-04-14T09:07:00','person-2-of-demo','sign a sheet','demo-act-002517','11ef8cab619aec9c6e3c50b98b575401a20784e6bffb750a1d942f7712cd2928','demo-act-002517','{}','{"sheet": 4, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002544',2544,'2026-04-28T08:30:00','person-2-of-demo','log use','demo-act-002517','ff0cecbdda2d93acdff9b6debf209224f61b27dd2dec129503abe4955539fc64','demo-act-002544','{"counter": 317.0, "total": 317.0, "day": "2026-04-14"}','{"counter": 335.0, "total": 335.0, "typed": "335", "day": "2026-04-28", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002545',2545,'2026-06-02T08:44:00','person-1-of-demo','log use','demo-act-002517','4ec7467236f697fd08f38dba593a1a6971fd95ca74345dbded66d36ec8efd483','demo-act-002545','{"counter": 335.0, "total": 335.0, "day": "2026-04-28"}','{"counter": 384.0, "total": 384.0, "typed": "384", "day": "2026-06-02", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002546',2546,'2026-07-07T08:04:00','person-2-of-demo','open a sheet','demo-act-002517','eeab70096614c2b572808abf6488003db470292d0f6bf835ffa5f5b1135fd425','demo-act-002546','{}','{"set": 2, "kind": "check", "counter": 430.0, "total": 430.0, "sheet": 5, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002547',2547,'2026-07-07T08:06:00','person-2-of-demo','measure','demo-act-002517','b81bb71455510eea6c6ced0173bc55272e36664a99e5e4313339716f2c82e707','demo-act-002547','{}','{"position": "A", "typed": "22.08", "length_mm": 22.08, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002548',2548,'2026-07-07T08:07:00','person-2-of-demo','measure','demo-act-002517','07a948874a427ee9f3f7235d0b6c871d9ae26632d729437b81e882bb7185ab95','demo-act-002548','{}','{"position": "B", "typed": "22.24", "length_mm": 22.24, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002549',2549,'2026-07-07T08:34:00','person-2-of-demo','sign a sheet','demo-act-002517','4ea8bd0c37968569372c69e4345a87c917b814547e3b406f502eb2b58407bca6','demo-act-002517','{}','{"sheet": 5, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002550',2550,'2026-08-11T08:13:00','person-3-of-demo','log use','demo-act-002517','a476c141e70a6464f30b2f30466cf25cb7ef79c84bd212e9eb7decdde635369d','demo-act-002550','{"counter": 430.0, "total": 430.0, "day": "2026-07-07"}','{"counter": 430.0, "total": 430.0, "typed": "430", "day": "2026-08-11", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002551',2551,'2026-09-15T08:45:00','person-1-of-demo','log use','demo-act-002517','7965f82f83ca32a497105dcb1f924d554807e8f190b7a8f30a3c0cae8b851134','demo-act-002551','{"counter": 430.0, "total": 430.0, "day": "2026-08-11"}','{"counter": 444.0, "total": 444.0, "typed": "444", "day": "2026-09-15", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002552',2552,'2026-10-13T08:41:00','person-2-of-demo','open a sheet','demo-act-002517','d8517754799ae3459fc24c9fe5d8c7edabff346b0cec6b7a18b383eb7c9730a2','demo-act-002552','{}','{"set": 2, "kind": "check", "counter": 477.0, "total": 477.0, "sheet": 6, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002553',2553,'2026-10-13T08:43:00','person-2-of-demo','measure','demo-act-002517','9a9950a5ec40aece8d64b9c4eb4b963b89d819dd7797951beb6c9ba263729d18','demo-act-002553','{}','{"position": "A", "typed": "21.66", "length_mm": 21.66, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002554',2554,'2026-10-13T08:44:00','person-2-of-demo','measure','demo-act-002517','6b372b6dd2bab991d56c3cc309678837ce04827216730338a4c57e7a90828815','demo-act-002554','{}','{"position": "B", "typed": "21.62", "length_mm": 21.62, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002555',2555,'2026-10-13T09:11:00','person-2-of-demo','sign a sheet','demo-act-002517','be5f515b123a4011b4b054c9f16c531fdf3262b04d807ad5a414b21480d67507','demo-act-002517','{}','{"sheet": 6, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002556',2556,'2026-10-20T08:08:00','person-2-of-demo','log use','demo-act-002517','ddb130a56f00084710cbc31134e3ee1aaf15ba115794cb784806f0ab38b6d9ee','demo-act-002556','{"counter": 477.0, "total": 477.0, "day": "2026-10-13"}','{"counter": 484.0, "total": 484.0, "typed": "484", "day": "2026-10-20", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002557',2557,'2026-11-24T08:41:00','person-3-of-demo','log use','demo-act-002517','f212954db48dfce45403138391ffac207c2e3995c1b730d62c59499dd9acef30','demo-act-002557','{"counter": 484.0, "total": 484.0, "day": "2026-10-20"}','{"counter": 522.0, "total": 522.0, "typed": "522", "day": "2026-11-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002694',2694,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'7bef20a2e15d206f5f8830ca9001fb5e321b3ccab7a363d49c47ae2743f600d8','demo-act-002694','{}','{"window": "Summer, house dark", "first": "2023-07-01", "last": "2023-08-31", "yearly": true, "place": ""}');
INSERT INTO "act" VALUES('demo-act-002695',2695,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'ccfec9fc9a594e997e5d84a7b8a56ab915a2f3d6bc4cbae4cf2b57511bcea4ee','demo-act-002695','{}','{"window": "Get-in of the winter piece", "first": "2026-12-07", "last": "2026-12-13", "yearly": false, "place": "stage"}');
INSERT INTO "act" VALUES('demo-act-002696',2696,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'2ebd376e3de091a53988d9f1035398c48a6ad2b091abcabe5335680ef366ed31','demo-act-002696','{}','{"window": "February refit", "first": "2027-02-08", "last": "2027-02-21", "yearly": false, "place": ""}');
INSERT INTO "act" VALUES('demo-act-002698',2698,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'cfcaf0525cefbe039d85bc61c4b331984b957dca7df693a69d41b020de4d8d7a','fit.clearance-most','{"value": null}','{"value": 0.25, "scope": "site", "of": "", "why": "the house keeps brushes tighter after two chipped sets"}');
INSERT INTO "act" VALUES('demo-act-002699',2699,'2026-10-06T00:00:00','person-2-of-demo','change a rule',NULL,'0fae4b58f739cc50716e6a0a9f86953d138e81bb7074dc85fe32f119dd6f7251','school.old-or-new','{"value": null}','{"value": "keep", "scope": "motor", "of": "demo-act-002379", "why": "no such carbon is made any more, and it runs well"}');
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
INSERT INTO "brush_set" VALUES('demo-act-002517.set','demo-act-002517',1,'2025-05-13T08:25:00',0.0,1,'2026-03-17T08:05:00',283.0,'with other work','demo-act-002517');
INSERT INTO "brush_set" VALUES('demo-act-002538','demo-act-002517',2,'2026-03-17T08:05:00',283.0,1,NULL,NULL,NULL,'demo-act-002538');
CREATE TABLE deferred (
    id text primary key,
    motor_id text not null references motor (id),
    sheet_id text not null references sheet (id),
    position_number integer not null check (position_number between 0 and 40),
    finding text not null,
    words text not null,
    who text not null,
    due_on text,
    closed_act_id text references act (id),
    act_id text not null references act (id)
) strict;
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
) strict;
INSERT INTO "entry" VALUES('demo-act-002520.safe','demo-act-002520','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002520');
INSERT INTO "entry" VALUES('demo-act-002523.service','demo-act-002520','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002523');
INSERT INTO "entry" VALUES('demo-act-002526.safe','demo-act-002526','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002526');
INSERT INTO "entry" VALUES('demo-act-002529.service','demo-act-002526','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002529');
INSERT INTO "entry" VALUES('demo-act-002533.safe','demo-act-002533','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002533');
INSERT INTO "entry" VALUES('demo-act-002536.service','demo-act-002533','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002536');
INSERT INTO "entry" VALUES('demo-act-002540.safe','demo-act-002540','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002540');
INSERT INTO "entry" VALUES('demo-act-002543.service','demo-act-002540','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002543');
INSERT INTO "entry" VALUES('demo-act-002546.safe','demo-act-002546','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002546');
INSERT INTO "entry" VALUES('demo-act-002549.service','demo-act-002546','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002549');
INSERT INTO "entry" VALUES('demo-act-002552.safe','demo-act-002552','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002552');
INSERT INTO "entry" VALUES('demo-act-002555.service','demo-act-002552','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002555');
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
INSERT INTO "forecast" VALUES('demo-act-002517','{"visits": 4, "past_sets": 1, "life_units": 1386.3129797583208, "p05_units": 1215.8511657714844, "p10_units": 1317.6166259765625, "p25_units": 1433.8477478027344, "p50_units": 1574.6337890625, "p75_units": 1732.4453735351562, "p90_units": 1876.5857299804688, "p95_units": 1965.8004638671875, "look_units": 1215.8511754894862, "p10_on": "2028-12-15", "p50_on": "2029-12-23", "p90_on": "2031-03-22", "look_on": "2028-10-10", "tail": 0.46277400851249695, "jumped": 0.0009240935905836523, "rate_mm_per_unit": 0.01082006748765707, "worst_position": 1, "seen_units": 477.0, "coarse": false}');
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
INSERT INTO "forecast_made" VALUES('demo-act-002520','demo-act-002517.set','demo-act-002517','2025-08-05T09:07:00',1,6.30305572509765625003e+02,6.98391223144531295488e+02,1.03755136108398437501e+03,1583.6484375,1.84145190429687431784e+03,6.3030557280860375611e+02,4.59038585424423217773e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002526','demo-act-002517.set','demo-act-002517','2025-10-28T09:10:00',2,7.85429718017578124998e+02,8.87632720947265625027e+02,1.19902697753906250003e+03,1.60536879882812490907e+03,1.76169465332031177241e+03,785.42972071853,7.10607290267944335937e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002533','demo-act-002517.set','demo-act-002517','2026-01-20T08:31:00',3,8.99594226074218795453e+02,9.7088521118164067044e+02,1.20209445190429687505e+03,1.47779991455078129553e+03,1.5618824096679686591e+03,8.99594226637156680215e+02,4.65021938085556030273e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002540','demo-act-002538','demo-act-002517','2026-04-14T09:07:00',2,944.2498046875,1043.19169921875,1.56581768798828124995e+03,2.65794077148437509101e+03,3.34384374999999681686e+03,9.44249810483539476959e+02,6.65738642215728759765e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002546','demo-act-002538','demo-act-002517','2026-07-07T08:34:00',3,1.14820987548828134096e+03,1.26395128784179678401e+03,1.55047845458984375e+03,1.90556931152343759098e+03,2.02941180419921874994e+03,1.14820987906772643328e+03,4.65026825666427612304e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002552','demo-act-002538','demo-act-002517','2026-10-13T09:11:00',4,1.21585116577148437497e+03,1.31761662597656254542e+03,1574.6337890625,1.87658572998046884088e+03,1.96580046386718754547e+03,1.21585117548948619511e+03,4.62774008512496948242e-01);
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
INSERT INTO "motor" VALUES('demo-act-002517','A-10','Haze fan','stage left','appliance',NULL,1,'demo-act-002517');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('demo-act-002517','expected_life_units',1200.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002517','grade_family',NULL,'resin-bonded');
INSERT INTO "motor_figure" VALUES('demo-act-002517','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-002517','limit_mm',9.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002517','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('demo-act-002517','new_mm',24.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002517','thickness_mm',6.3,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002517','width_mm',11.0,NULL);
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
INSERT INTO "past_set" VALUES('demo-act-002517.set','demo-act-002517',-4.30278629036809245889e+00,0);
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
INSERT INTO "position" VALUES('demo-act-002517',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('demo-act-002517',2,'B',270.0,2,'-');
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
INSERT INTO "reading" VALUES('demo-act-002521','demo-act-002520',1,'22.76','mm','length','digital-caliper',22.76,22.76,0.05,22.76,22.76,NULL,NULL,'','','',NULL,'demo-act-002521');
INSERT INTO "reading" VALUES('demo-act-002522','demo-act-002520',2,'22.74','mm','length','digital-caliper',22.74,22.74,0.05,22.74,22.74,NULL,NULL,'','','',NULL,'demo-act-002522');
INSERT INTO "reading" VALUES('demo-act-002527','demo-act-002526',1,'22.13','mm','length','digital-caliper',22.13,22.13,0.05,22.13,22.13,NULL,NULL,'','','',NULL,'demo-act-002527');
INSERT INTO "reading" VALUES('demo-act-002528','demo-act-002526',2,'22.2','mm','length','digital-caliper',22.2,22.2,0.05,22.2,22.2,NULL,NULL,'','','',NULL,'demo-act-002528');
INSERT INTO "reading" VALUES('demo-act-002534','demo-act-002533',1,'21.18','mm','length','digital-caliper',21.18,21.18,0.05,21.18,21.18,NULL,NULL,'','','',NULL,'demo-act-002534');
INSERT INTO "reading" VALUES('demo-act-002535','demo-act-002533',2,'21.11','mm','length','digital-caliper',21.11,21.11,0.05,21.11,21.11,NULL,NULL,'','','',NULL,'demo-act-002535');
INSERT INTO "reading" VALUES('demo-act-002538.1','demo-act-002538.fit',1,'24.07','mm','length','digital-caliper',24.07,24.07,0.05,24.07,24.07,NULL,NULL,'','','',NULL,'demo-act-002538');
INSERT INTO "reading" VALUES('demo-act-002538.2','demo-act-002538.fit',2,'23.95','mm','length','digital-caliper',23.95,23.95,0.05,23.95,23.95,NULL,NULL,'','','',NULL,'demo-act-002538');
INSERT INTO "reading" VALUES('demo-act-002541','demo-act-002540',1,'23.37','mm','length','digital-caliper',23.37,23.37,0.05,23.37,23.37,NULL,NULL,'','','',NULL,'demo-act-002541');
INSERT INTO "reading" VALUES('demo-act-002542','demo-act-002540',2,'23.43','mm','length','digital-caliper',23.43,23.43,0.05,23.43,23.43,NULL,NULL,'','','',NULL,'demo-act-002542');
INSERT INTO "reading" VALUES('demo-act-002547','demo-act-002546',1,'22.08','mm','length','digital-caliper',22.08,22.08,0.05,22.08,22.08,NULL,NULL,'','','',NULL,'demo-act-002547');
INSERT INTO "reading" VALUES('demo-act-002548','demo-act-002546',2,'22.24','mm','length','digital-caliper',22.24,22.24,0.05,22.24,22.24,NULL,NULL,'','','',NULL,'demo-act-002548');
INSERT INTO "reading" VALUES('demo-act-002553','demo-act-002552',1,'21.66','mm','length','digital-caliper',21.66,21.66,0.05,21.66,21.66,NULL,NULL,'','','',NULL,'demo-act-002553');
INSERT INTO "reading" VALUES('demo-act-002554','demo-act-002552',2,'21.62','mm','length','digital-caliper',21.62,21.62,0.05,21.62,21.62,NULL,NULL,'','','',NULL,'demo-act-002554');
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
INSERT INTO "round" VALUES('demo-act-002520','demo-act-002517','demo-act-002517.set','check','2025-08-05T08:37:00',1,67.0,'2025-08-05T09:07:00','demo-act-002520');
INSERT INTO "round" VALUES('demo-act-002526','demo-act-002517','demo-act-002517.set','check','2025-10-28T08:40:00',2,124.0,'2025-10-28T09:10:00','demo-act-002526');
INSERT INTO "round" VALUES('demo-act-002533','demo-act-002517','demo-act-002517.set','check','2026-01-20T08:01:00',3,211.0,'2026-01-20T08:31:00','demo-act-002533');
INSERT INTO "round" VALUES('demo-act-002538.fit','demo-act-002517','demo-act-002538','fitting','2026-03-17T08:05:00',4,283.0,'2026-03-17T08:05:00','demo-act-002538');
INSERT INTO "round" VALUES('demo-act-002540','demo-act-002517','demo-act-002538','check','2026-04-14T08:37:00',5,317.0,'2026-04-14T09:07:00','demo-act-002540');
INSERT INTO "round" VALUES('demo-act-002546','demo-act-002517','demo-act-002538','check','2026-07-07T08:04:00',6,430.0,'2026-07-07T08:34:00','demo-act-002546');
INSERT INTO "round" VALUES('demo-act-002552','demo-act-002517','demo-act-002538','check','2026-10-13T08:41:00',7,477.0,'2026-10-13T09:11:00','demo-act-002552');
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
INSERT INTO "rule_override" VALUES('demo-act-002698','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-002698','');
INSERT INTO "rule_override" VALUES('demo-act-002699','school.old-or-new','motor','demo-act-002379',0.0,'no such carbon is made any more, and it runs well',NULL,'demo-act-002699','keep');
CREATE TABLE sheet (
    id text primary key references round (id),
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
INSERT INTO "sheet" VALUES('demo-act-002520','demo-act-002517',1,'quick','2025-08-05T08:37:00','2025-08-05T09:07:00','{"person": "Maud Celliers", "sentence": "Run on. Brush B has 13.7 mm to its limit, 92% of its usable carbon. First brush at its limit at about 1\u202f030 h, around 24 April 2028; 8 times in 10 between 698 and 1\u202f580 h, 17 February 2027 to 29 April 2030. Look again by 630 h, 18 November 2026: at most 5 chances in 100 that the limit is passed before. (From 1 round and the expected life.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 92%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 630 h, 18 November 2026 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 5 August 2027 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 797 h, plan by 651 h, look again by 432 h.", "Dates from 6.7 h a week (10 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2026-11-18", "look_at": 630.3055728086038, "look_by": "forecast", "sooner": ""}','demo-act-002520');
INSERT INTO "sheet" VALUES('demo-act-002526','demo-act-002517',2,'quick','2025-10-28T08:40:00','2025-10-28T09:10:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 13.1 mm to its limit, 88% of its usable carbon. First brush at its limit at about 1\u202f190 h, around 6 October 2029; 8 times in 10 between 887 and 1\u202f600 h, 22 May 2028 to 22 November 2031. Look again by 28 October 2027, for the calendar limit. (From 2 rounds and the expected life.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 88%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 785 h, 8 January 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before.", "Look by 28 October 2027 for the calendar limit: 24 months since the last complete look: low use is not health; this comes first.", "Straight line: do not exceed 994 h, plan by 820 h, look again by 559 h.", "Dates from 5.2 h a week (24 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2027-10-28", "look_at": null, "look_by": "calendar limit", "sooner": ""}','demo-act-002526');
INSERT INTO "sheet" VALUES('demo-act-002533','demo-act-002517',3,'quick','2026-01-20T08:01:00','2026-01-20T08:31:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.1 mm to its limit, 81% of its usable carbon. First brush at its limit at about 1\u202f200 h, around 4 April 2029; 8 times in 10 between 970 and 1\u202f470 h, 6 April 2028 to 26 July 2030. Look again by 899 h, 6 January 2028: at most 5 chances in 100 that the limit is passed before. (From 3 rounds and the expected life.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 81%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 899 h, 6 January 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 20 January 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f095 h, plan by 918 h, look again by 653 h.", "Dates from 5.9 h a week (36 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2028-01-06", "look_at": 899.5942266371567, "look_by": "forecast", "sooner": ""}','demo-act-002533');
INSERT INTO "sheet" VALUES('demo-act-002540','demo-act-002517',4,'quick','2026-04-14T08:37:00','2026-04-14T09:07:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 14.4 mm to its limit, 96% of its usable carbon. First brush at its limit at about 1\u202f560 h, around 22 December 2029; 8 times in 10 between 1\u202f040 and 2\u202f650 h, 27 April 2028 to 3 March 2033. Look again by 944 h, 13 December 2027: at most 5 chances in 100 that the limit is passed before. (From 2 rounds and 1 earlier set.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 96%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 944 h, 13 December 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 14 April 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f014 h, plan by 875 h, look again by 665 h.", "Dates from 6.6 h a week (48 weeks of log).", "Uneven: the wear differs by 30% of its mean, A most. Look at holder, spring and lead there before renewing."], "open": [], "why": "", "work": [], "look_on": "2027-12-13", "look_at": 944.2498104835395, "look_by": "forecast", "sooner": ""}','demo-act-002540');
INSERT INTO "sheet" VALUES('demo-act-002546','demo-act-002517',5,'quick','2026-07-07T08:04:00','2026-07-07T08:34:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 13.1 mm to its limit, 87% of its usable carbon. First brush at its limit at about 1\u202f550 h, around 20 August 2029; 8 times in 10 between 1\u202f260 and 1\u202f900 h, 7 August 2028 to 8 December 2030. Look again by 1\u202f140 h, 10 May 2028: at most 5 chances in 100 that the limit is passed before. (From 3 rounds and 1 earlier set.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 87%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 1\u202f140 h, 10 May 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 7 July 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f396 h, plan by 1\u202f202 h, look again by 913 h.", "Dates from 6.9 h a week (55 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2028-05-10", "look_at": 1148.2098790677264, "look_by": "forecast", "sooner": ""}','demo-act-002546');
INSERT INTO "sheet" VALUES('demo-act-002552','demo-act-002517',6,'quick','2026-10-13T08:41:00','2026-10-13T09:11:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.6 mm to its limit, 84% of its usable carbon. First brush at its limit at about 1\u202f570 h, around 1 October 2029; 8 times in 10 between 1\u202f310 and 1\u202f870 h, 22 October 2028 to 24 November 2030. Look again by 1\u202f210 h, 10 August 2028: at most 5 chances in 100 that the limit is passed before. (From 4 rounds and 1 earlier set.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 84%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 1\u202f210 h, 10 August 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 13 October 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f433 h, plan by 1\u202f242 h, look again by 955 h.", "Dates from 7.1 h a week (54 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2028-08-10", "look_at": 1215.8511754894862, "look_by": "forecast", "sooner": ""}','demo-act-002552');
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
INSERT INTO "shutdown" VALUES('demo-act-002694','Summer, house dark','2023-07-01','2023-08-31',1,'',NULL,'demo-act-002694');
INSERT INTO "shutdown" VALUES('demo-act-002695','Get-in of the winter piece','2026-12-07','2026-12-13',0,'stage',NULL,'demo-act-002695');
INSERT INTO "shutdown" VALUES('demo-act-002696','February refit','2027-02-08','2027-02-21',0,'',NULL,'demo-act-002696');
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
INSERT INTO "standing" VALUES('demo-act-002517',2699,'fit',0,'2029-12-23','2028-10-10','2029-12-23',1.26200000000000009945e+01,'Run on. Brush B has 12.6 mm to its limit, 84% of its usable carbon. First brush at its limit at about 1 570 h, around 23 December 2029; 8 times in 10 between 1 310 and 1 870 h, 15 December 2028 to 22 March 2031. Look again by 1 210 h, 10 October 2028: at most 5 chances in 100 that the limit is passed before. (From 4 rounds and 1 earlier set.)','Run on','','{"new_mm": 24.0, "limit_mm": 9.0, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 21.66, "next_mm": 12.481487974589372, "old": false}, {"label": "B", "length_mm": 21.62, "next_mm": 11.873452578649372, "old": false}]}','2028-12-15','2031-03-22','forecast',41);
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
INSERT INTO "type_figure" VALUES('demo-act-000001','force_nominal_n',8.4,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','grade',NULL,'LP-B 214');
INSERT INTO "type_figure" VALUES('demo-act-000001','grade_family',NULL,'electrographite');
INSERT INTO "type_figure" VALUES('demo-act-000001','holder_gap_mm',2.2,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','limit_mm',14.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','limit_source',NULL,'maker');
INSERT INTO "type_figure" VALUES('demo-act-000001','mass_kg',148.0,NULL);
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
INSERT INTO "use_entry" VALUES('demo-act-002517.use','demo-act-002517',1,'2025-05-13T08:25:00',0.0,0.0,'0','first',NULL,'demo-act-002517');
INSERT INTO "use_entry" VALUES('demo-act-002518','demo-act-002517',2,'2025-06-17T08:38:00',48.0,48.0,'48','',NULL,'demo-act-002518');
INSERT INTO "use_entry" VALUES('demo-act-002519','demo-act-002517',3,'2025-07-22T08:18:00',67.0,67.0,'67','',NULL,'demo-act-002519');
INSERT INTO "use_entry" VALUES('demo-act-002524','demo-act-002517',4,'2025-08-26T08:10:00',67.0,67.0,'67','',NULL,'demo-act-002524');
INSERT INTO "use_entry" VALUES('demo-act-002525','demo-act-002517',5,'2025-09-30T08:39:00',95.0,95.0,'95','',NULL,'demo-act-002525');
INSERT INTO "use_entry" VALUES('demo-act-002526.use','demo-act-002517',6,'2025-10-28T08:40:00',124.0,124.0,'124','',NULL,'demo-act-002526');
INSERT INTO "use_entry" VALUES('demo-act-002530','demo-act-002517',7,'2025-11-04T08:19:00',132.0,132.0,'132','',NULL,'demo-act-002530');
INSERT INTO "use_entry" VALUES('demo-act-002531','demo-act-002517',8,'2025-12-09T08:18:00',167.0,167.0,'167','',NULL,'demo-act-002531');
INSERT INTO "use_entry" VALUES('demo-act-002532','demo-act-002517',9,'2026-01-13T08:14:00',204.0,204.0,'204','',NULL,'demo-act-002532');
INSERT INTO "use_entry" VALUES('demo-act-002533.use','demo-act-002517',10,'2026-01-20T08:01:00',211.0,211.0,'211','',NULL,'demo-act-002533');
INSERT INTO "use_entry" VALUES('demo-act-002537','demo-act-002517',11,'2026-02-17T08:24:00',244.0,244.0,'244','',NULL,'demo-act-002537');
INSERT INTO "use_entry" VALUES('demo-act-002538.use','demo-act-002517',12,'2026-03-17T08:05:00',283.0,283.0,'283','',NULL,'demo-act-002538');
INSERT INTO "use_entry" VALUES('demo-act-002539','demo-act-002517',13,'2026-03-24T08:10:00',291.0,291.0,'291','',NULL,'demo-act-002539');
INSERT INTO "use_entry" VALUES('demo-act-002540.use','demo-act-002517',14,'2026-04-14T08:37:00',317.0,317.0,'317','',NULL,'demo-act-002540');
INSERT INTO "use_entry" VALUES('demo-act-002544','demo-act-002517',15,'2026-04-28T08:30:00',335.0,335.0,'335','',NULL,'demo-act-002544');
INSERT INTO "use_entry" VALUES('demo-act-002545','demo-act-002517',16,'2026-06-02T08:44:00',384.0,384.0,'384','',NULL,'demo-act-002545');
INSERT INTO "use_entry" VALUES('demo-act-002546.use','demo-act-002517',17,'2026-07-07T08:04:00',430.0,430.0,'430','',NULL,'demo-act-002546');
INSERT INTO "use_entry" VALUES('demo-act-002550','demo-act-002517',18,'2026-08-11T08:13:00',430.0,430.0,'430','',NULL,'demo-act-002550');
INSERT INTO "use_entry" VALUES('demo-act-002551','demo-act-002517',19,'2026-09-15T08:45:00',444.0,444.0,'444','',NULL,'demo-act-002551');
INSERT INTO "use_entry" VALUES('demo-act-002552.use','demo-act-002517',20,'2026-10-13T08:41:00',477.0,477.0,'477','',NULL,'demo-act-002552');
INSERT INTO "use_entry" VALUES('demo-act-002556','demo-act-002517',21,'2026-10-20T08:08:00',484.0,484.0,'484','',NULL,'demo-act-002556');
INSERT INTO "use_entry" VALUES('demo-act-002557','demo-act-002517',22,'2026-11-24T08:41:00',522.0,522.0,'522','',NULL,'demo-act-002557');
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
CREATE UNIQUE INDEX sheet_open on sheet (motor_id) where signed_at is null;
CREATE INDEX sheet_unsigned on sheet (at) where signed_at is null;
CREATE UNIQUE INDEX entry_now on entry (sheet_id, field, place) where replaced_by is null;
CREATE INDEX deferred_open on deferred (motor_id) where closed_act_id is null;
COMMIT;
