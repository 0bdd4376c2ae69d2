pragma application_id = 1315926646;
pragma user_version = 4;
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
INSERT INTO "act" VALUES('demo-act-000001',1,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'534fe740dc9498e6a1b08d913476ef02dc9b3ba5863f90b6499f7b75301121c5','demo-act-000001','{}','{"name": "Winch motor, four-pole shunt", "new_mm": 32.0, "thickness_mm": 12.5, "width_mm": 25.0, "limit_mm": 14.0, "limit_source": "maker", "commutator_d_mm": 120.0, "commutator_d_min_mm": 115.0, "track_mm": 58.0, "slot_width_mm": 0.95, "undercut_mm": 1.1, "bars": 87.0, "poles": 4.0, "armature_slots": 29.0, "winding": "wave", "end_float_low_mm": 0.1, "end_float_high_mm": 0.4, "bearing_drive": "6310-2Z", "bearing_other": "6308-2Z", "grade_family": "electrographite", "grade": "LP-B 214", "expected_life_units": 2600.0, "mass_kg": 148.0, "force_nominal_n": 8.4, "rated_v": 220.0, "rated_a": 38.0, "rated_rpm": 1450.0, "holder_gap_mm": 2.2, "position 1": "A at 45\u00b0, arm 1, +", "position 2": "B at 135\u00b0, arm 2, -", "position 3": "C at 225\u00b0, arm 3, +", "position 4": "D at 315\u00b0, arm 4, -"}');
INSERT INTO "act" VALUES('demo-act-000002',2,'2022-09-06T00:00:00','person-1-of-demo','save a type',NULL,'18a6646d6c9a87e2d54bfad1476ff6c8b2da913fd4d079f1f361a9e93cd3fe81','demo-act-000002','{}','{"name": "Bench tool motor, universal", "new_mm": 15.0, "thickness_mm": 6.4, "width_mm": 12.5, "limit_mm": 5.5, "limit_source": "maker", "commutator_d_mm": 30.0, "bars": 28.0, "grade_family": "resin-bonded", "grade": "LP-B 031", "rated_v": 230.0, "rated_a": 7.4, "expected_life_units": 340.0, "position 1": "A at 90\u00b0, arm 1, +", "position 2": "B at 270\u00b0, arm 2, -"}');
INSERT INTO "act" VALUES('demo-act-002817',2817,'2025-05-13T08:14:00','person-3-of-demo','add a motor','demo-act-002817','696e8b183077ee06a7546f43a6eee894e19c45c939e7f101aa2afd40f5a25483','demo-act-002817','{}','{"tag": "A-10", "name": "Haze fan", "figures": {"new_mm": 24.0, "limit_mm": 9.0, "thickness_mm": 6.3, "width_mm": 11.0, "grade_family": "resin-bonded", "expected_life_units": 1200.0, "instrument": "digital-caliper", "limit_source": "maker"}}');
INSERT INTO "act" VALUES('demo-act-002818',2818,'2025-06-17T08:46:00','person-1-of-demo','log use','demo-act-002817','92fd00794a640771978797469cb41e438f361c7096a890e8581320fde77252e2','demo-act-002818','{"counter": 0.0, "total": 0.0, "day": "2025-05-13"}','{"counter": 51.0, "total": 51.0, "typed": "51", "day": "2025-06-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002819',2819,'2025-07-22T08:26:00','person-2-of-demo','log use','demo-act-002817','60a11555311e5fd1a49703ec9595bf1fd2aad07e4767c877f833c84a88f31644','demo-act-002819','{"counter": 51.0, "total": 51.0, "day": "2025-06-17"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-07-22", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002820',2820,'2025-08-05T08:19:00','person-3-of-demo','open a sheet','demo-act-002817','9dac221c51df31ad57cbb53255689423566b778200778d1089b11dc4e620da4d','demo-act-002820','{}','{"set": 1, "kind": "check", "counter": 71.0, "total": 71.0, "sheet": 1, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002821',2821,'2025-08-05T08:21:00','person-3-of-demo','measure','demo-act-002817','289a3e16bc12a7ab25e7e30a67c84d2c9b3b3c177b8870607931d9470b612e69','demo-act-002821','{}','{"position": "A", "typed": "22.77", "length_mm": 22.77, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002822',2822,'2025-08-05T08:22:00','person-3-of-demo','measure','demo-act-002817','588687434e49d505cae4c427280b00f37021ad76ed0d2f3456e8a252414df341','demo-act-002822','{}','{"position": "B", "typed": "22.8", "length_mm": 22.8, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002823',2823,'2025-08-05T08:49:00','person-3-of-demo','sign a sheet','demo-act-002817','14ea99618367f695c2557552bc57ecf55a36da7e3ae95be82fba69022d21042e','demo-act-002817','{}','{"sheet": 1, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002824',2824,'2025-08-26T08:07:00','person-3-of-demo','log use','demo-act-002817','60a11555311e5fd1a49703ec9595bf1fd2aad07e4767c877f833c84a88f31644','demo-act-002824','{"counter": 71.0, "total": 71.0, "day": "2025-07-22"}','{"counter": 71.0, "total": 71.0, "typed": "71", "day": "2025-08-26", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002825',2825,'2025-09-30T08:15:00','person-1-of-demo','log use','demo-act-002817','35875d13f9e05484b441b49c4d7daa966156631bda54c7aebe5d5dd5c90c18ae','demo-act-002825','{"counter": 71.0, "total": 71.0, "day": "2025-08-26"}','{"counter": 103.0, "total": 103.0, "typed": "103", "day": "2025-09-30", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002826',2826,'2025-10-28T08:43:00','person-2-of-demo','open a sheet','demo-act-002817','c1f5ff8e33b2938c572b0155a4acb81ab6cefc3934e556be9b730f667de8394b','demo-act-002826','{}','{"set": 1, "kind": "check", "counter": 131.0, "total": 131.0, "sheet": 2, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002827',2827,'2025-10-28T08:45:00','person-2-of-demo','measure','demo-act-002817','f08683f04c7a98f2789a41e79100204d1e9ac095e92fbc9515d828627315fdcf','demo-act-002827','{}','{"position": "A", "typed": "22.07", "length_mm": 22.07, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002828',2828,'2025-10-28T08:46:00','person-2-of-demo','measure','demo-act-002817','36681f74a74ad89e88acb0974c05d8a037b3ecd856fccc80ad9d63a9ed5a9360','demo-act-002828','{}','{"position": "B", "typed": "22.12", "length_mm": 22.12, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002829',2829,'2025-10-28T09:13:00','person-2-of-demo','sign a sheet','demo-act-002817','bf2809edd0efa6254dfb6a77218ceb5418b6b10d837320cd2e721cccd42eb959','demo-act-002817','{}','{"sheet": 2, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002830',2830,'2025-11-04T08:01:00','person-3-of-demo','log use','demo-act-002817','dc3a7b3549f13ddc37b81237aa6ca468ecfc190ffe15ddfcfa03b129ad897834','demo-act-002830','{"counter": 131.0, "total": 131.0, "day": "2025-10-28"}','{"counter": 138.0, "total": 138.0, "typed": "138", "day": "2025-11-04", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002831',2831,'2025-12-09T08:03:00','person-1-of-demo','log use','demo-act-002817','bc5f2cd80291ad59a412eaee258a4b03935b99ad252e1954221116d508d12509','demo-act-002831','{"counter": 138.0, "total": 138.0, "day": "2025-11-04"}','{"counter": 172.0, "total": 172.0, "typed": "172", "day": "2025-12-09", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002832',2832,'2026-01-13T08:46:00','person-2-of-demo','log use','demo-act-002817','21662adaa4a96894892557d23d6f8eef1418aa27977cb9d9bc3917e1c465a27d','demo-act-002832','{"counter": 172.0, "total": 172.0, "day": "2025-12-09"}','{"counter": 213.0, "total": 213.0, "typed": "213", "day": "2026-01-13", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002833',2833,'2026-01-20T08:49:00','person-2-of-demo','open a sheet','demo-act-002817','404f588dd47b6b633cd157c0bc2669bd97fcd77ab8e23b379f008e88c1f5866b','demo-act-002833','{}','{"set": 1, "kind": "check", "counter": 222.0, "total": 222.0, "sheet": 3, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002834',2834,'2026-01-20T08:51:00','person-2-of-demo','measure','demo-act-002817','f1f994073a1c8e01e39a5a8f5cf3055dfef6d5f2f1025a4e7b53db7756e844b7','demo-act-002834','{}','{"position": "A", "typed": "21.1", "length_mm": 21.1, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002835',2835,'2026-01-20T08:52:00','person-2-of-demo','measure','demo-act-002817','3b92a4b500edbc8575df679e5f2c877f808b9ea3cb9450c150cef639e8d8f409','demo-act-002835','{}','{"position": "B", "typed": "21.16", "length_mm": 21.16, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002836',2836,'2026-01-20T09:19:00','person-2-of-demo','sign a sheet','demo-act-002817','fdc3054271f05f4e26dda6f7091b30eabf866d78450ee12916ee10ee329e779c','demo-act-002817','{}','{"sheet": 3, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002837',2837,'2026-02-17T08:29:00','person-3-of-demo','log use','demo-act-002817','56c4978fb226761e16401bec5fbb4c9155896d68822d342d323a92a916ea56bc','demo-act-002837','{"counter": 222.0, "total": 222.0, "day": "2026-01-20"}','{"counter": 256.0, "total": 256.0, "typed": "256", "day": "2026-02-17", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002838',2838,'2026-03-10T08:08:00','person-1-of-demo','fit a new set','demo-act-002817','258d1fc035905b832fba1cbb437068053ab31512c834366a0599c08172eeed5e','demo-act-002838','{"set": 1, "ran": 280.0}','{"set": 2, "reason": "with other work", "lengths_mm": {"A": 23.88, "B": 24.01}}');
INSERT INTO "act" VALUES('demo-act-002839',2839,'2026-03-24T08:06:00','person-1-of-demo','log use','demo-act-002817','65528d0a3fd898f7f82308272bffc22f30cc0427761de14923663627a5d1d442','demo-act-002839','{"counter": 280.0, "total": 280.0, "day": "2026-03-10"}','{"counter": 296.0, "total": 296.0, "typed": "296", "day": "2026-03-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002840',2840,'2026-04-14T08:44:00','person-2-of-demo','open a sheet','demo-act-002817','a4cbcb2ac3742c5e194fb36725aa1010fe6cab4945293e4614362b272c9d4c4d','demo-act-002840','{}','{"set": 2, "kind": "check", "counter": 322.0, "total": 322.0, "sheet": 4, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002841',2841,'2026-04-14T08:46:00','person-2-of-demo','measure','demo-act-002817','da36430289ae5223779af50468ce2317e94d19664a37790d1dd3ac3c2a18fe85','demo-act-002841','{}','{"position": "A", "typed": "23.37", "length_mm": 23.37, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002842',2842,'2026-04-14T08:47:00','person-2-of-demo','measure','demo-act-002817','09020672d08bdd4f099accbeffd66d97ce9aad364a4511235f2042a0ec81c52f','demo-act-002842','{}','{"position": "B", "typed": "23.3", "length_mm": 23.3, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002843',2843,'2026-04-14T09:14:00','person-2-of-demo','sign a sheet','demo-act-002817','165210804513ba64f2ff01672c993b149aa3811f70d23bbadeb829236075d4dd','demo-act-002817','{}','{"sheet": 4, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002844',2844,'2026-04-28T08:30:00','person-2-of-demo','log use','demo-act-002817','93860c834ac448fdbad2a63afa3d7f7b1994262f386e7d4773013107d7353129','demo-act-002844','{"counter": 322.0, "total": 322.0, "day": "2026-04-14"}','{"counter": 341.0, "total": 341.0, "typed": "341", "day": "2026-04-28", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002845',2845,'2026-06-02T08:01:00','person-1-of-demo','log use','demo-act-002817','c25d6ef1196a67e6c194a1fd63d6d20293d8d93901b0a0242b00ab0d4551990f','demo-act-002845','{"counter": 341.0, "total": 341.0, "day": "2026-04-28"}','{"counter": 393.0, "total": 393.0, "typed": "393", "day": "2026-06-02", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002846',2846,'2026-07-07T08:40:00','person-2-of-demo','open a sheet','demo-act-002817','a3479d0a66f727c0038dfb4fe7910d2762f06475670a8c11db019ce55a3af554','demo-act-002846','{}','{"set": 2, "kind": "check", "counter": 438.0, "total": 438.0, "sheet": 5, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002847',2847,'2026-07-07T08:42:00','person-2-of-demo','measure','demo-act-002817','ce5cfc3ce48f7f7a7ff2d91ec881c0aaa84cfd64add4a0a647e36cef5b0367cb','demo-act-002847','{}','{"position": "A", "typed": "22.08", "length_mm": 22.08, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002848',2848,'2026-07-07T08:43:00','person-2-of-demo','measure','demo-act-002817','0a39884d2fd97ce7f2cf6a9c933356b870886ec72548bf921f753be3cf49e572','demo-act-002848','{}','{"position": "B", "typed": "21.94", "length_mm": 21.94, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002849',2849,'2026-07-07T09:10:00','person-2-of-demo','sign a sheet','demo-act-002817','6654e8367b6e60dcb1edbc076ed3e6a0ff4abc40683c4ba748f2acf2bb189b64','demo-act-002817','{}','{"sheet": 5, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002850',2850,'2026-08-11T08:01:00','person-3-of-demo','log use','demo-act-002817','744d14f59e8573c7a4ce847d266260b5b985fef13b50c51c924f261a75903992','demo-act-002850','{"counter": 438.0, "total": 438.0, "day": "2026-07-07"}','{"counter": 438.0, "total": 438.0, "typed": "438", "day": "2026-08-11", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002851',2851,'2026-09-15T08:12:00','person-1-of-demo','log use','demo-act-002817','c0823b950dbd0ca49c8e2cbffda71a103ffb2b36abcd9c46ace0581ea362e56f','demo-act-002851','{"counter": 438.0, "total": 438.0, "day": "2026-08-11"}','{"counter": 454.0, "total": 454.0, "typed": "454", "day": "2026-09-15", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002852',2852,'2026-10-13T08:36:00','person-2-of-demo','open a sheet','demo-act-002817','5d68ca00a73834df17f9a670c61d77900ad2806a1ccfcae2d92cd5e25ab31326','demo-act-002852','{}','{"set": 2, "kind": "check", "counter": 485.0, "total": 485.0, "sheet": 6, "look": "quick"}');
INSERT INTO "act" VALUES('demo-act-002853',2853,'2026-10-13T08:38:00','person-2-of-demo','measure','demo-act-002817','591b3f39473ce4e68c50ccf435f1e97291e251d616605d9abae7775a6c70470b','demo-act-002853','{}','{"position": "A", "typed": "21.57", "length_mm": 21.57, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002854',2854,'2026-10-13T08:39:00','person-2-of-demo','measure','demo-act-002817','3bc40b8004429a5667d55beb08b8641e4a0a4944122a6b1a49b1d9a45b71da27','demo-act-002854','{}','{"position": "B", "typed": "21.44", "length_mm": 21.44, "doubt": ""}');
INSERT INTO "act" VALUES('demo-act-002855',2855,'2026-10-13T09:06:00','person-2-of-demo','sign a sheet','demo-act-002817','de6664f985a26b4c25496bf7c5dc4a5d091e08543762d58a5dbf4ae5a42e0d8d','demo-act-002817','{}','{"sheet": 6, "clean": true, "why": "", "outcome": ""}');
INSERT INTO "act" VALUES('demo-act-002856',2856,'2026-10-20T08:33:00','person-2-of-demo','log use','demo-act-002817','5a0f5402236caed3eeb773153dee7ade8f01fdf6dd9dc70ad936a8738674419f','demo-act-002856','{"counter": 485.0, "total": 485.0, "day": "2026-10-13"}','{"counter": 492.0, "total": 492.0, "typed": "492", "day": "2026-10-20", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002857',2857,'2026-11-24T08:25:00','person-3-of-demo','log use','demo-act-002817','c9f9168d81ce6389282785b6b24534fbf3f3bef96b9681634522fb68deb74f87','demo-act-002857','{"counter": 492.0, "total": 492.0, "day": "2026-10-20"}','{"counter": 526.0, "total": 526.0, "typed": "526", "day": "2026-11-24", "event": "", "struck": ""}');
INSERT INTO "act" VALUES('demo-act-002997',2997,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'7bef20a2e15d206f5f8830ca9001fb5e321b3ccab7a363d49c47ae2743f600d8','demo-act-002997','{}','{"window": "Summer, house dark", "first": "2023-07-01", "last": "2023-08-31", "yearly": true, "place": ""}');
INSERT INTO "act" VALUES('demo-act-002998',2998,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'ccfec9fc9a594e997e5d84a7b8a56ab915a2f3d6bc4cbae4cf2b57511bcea4ee','demo-act-002998','{}','{"window": "Get-in of the winter piece", "first": "2026-12-07", "last": "2026-12-13", "yearly": false, "place": "stage"}');
INSERT INTO "act" VALUES('demo-act-002999',2999,'2026-09-25T00:00:00','person-1-of-demo','add a dark window',NULL,'2ebd376e3de091a53988d9f1035398c48a6ad2b091abcabe5335680ef366ed31','demo-act-002999','{}','{"window": "February refit", "first": "2027-02-08", "last": "2027-02-21", "yearly": false, "place": ""}');
INSERT INTO "act" VALUES('demo-act-003001',3001,'2026-10-05T00:00:00','person-2-of-demo','change a rule',NULL,'cfcaf0525cefbe039d85bc61c4b331984b957dca7df693a69d41b020de4d8d7a','fit.clearance-most','{"value": null}','{"value": 0.25, "scope": "site", "of": "", "why": "the house keeps brushes tighter after two chipped sets"}');
INSERT INTO "act" VALUES('demo-act-003002',3002,'2026-10-06T00:00:00','person-2-of-demo','change a rule',NULL,'0fae4b58f739cc50716e6a0a9f86953d138e81bb7074dc85fe32f119dd6f7251','school.old-or-new','{"value": null}','{"value": "keep", "scope": "motor", "of": "demo-act-002679", "why": "no such carbon is made any more, and it runs well"}');
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
INSERT INTO "brush_set" VALUES('demo-act-002817.set','demo-act-002817',1,'2025-05-13T08:14:00',0.0,1,'2026-03-10T08:08:00',280.0,'with other work','demo-act-002817');
INSERT INTO "brush_set" VALUES('demo-act-002838','demo-act-002817',2,'2026-03-10T08:08:00',280.0,1,NULL,NULL,NULL,'demo-act-002838');
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
INSERT INTO "entry" VALUES('demo-act-002820.safe','demo-act-002820','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002820');
INSERT INTO "entry" VALUES('demo-act-002823.service','demo-act-002820','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002823');
INSERT INTO "entry" VALUES('demo-act-002826.safe','demo-act-002826','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002826');
INSERT INTO "entry" VALUES('demo-act-002829.service','demo-act-002826','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002829');
INSERT INTO "entry" VALUES('demo-act-002833.safe','demo-act-002833','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002833');
INSERT INTO "entry" VALUES('demo-act-002836.service','demo-act-002833','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002836');
INSERT INTO "entry" VALUES('demo-act-002840.safe','demo-act-002840','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002840');
INSERT INTO "entry" VALUES('demo-act-002843.service','demo-act-002840','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002843');
INSERT INTO "entry" VALUES('demo-act-002846.safe','demo-act-002846','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002846');
INSERT INTO "entry" VALUES('demo-act-002849.service','demo-act-002846','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002849');
INSERT INTO "entry" VALUES('demo-act-002852.safe','demo-act-002852','confirm.safe',0,'yes','yes',NULL,'{}',NULL,'demo-act-002852');
INSERT INTO "entry" VALUES('demo-act-002855.service','demo-act-002852','confirm.service',0,'yes','yes',NULL,'{}',NULL,'demo-act-002855');
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
INSERT INTO "forecast" VALUES('demo-act-002817','{"visits": 4, "past_sets": 1, "life_units": 1381.45954257977, "p05_units": 1235.701922607422, "p10_units": 1313.5962219238281, "p25_units": 1427.07958984375, "p50_units": 1562.3466796875, "p75_units": 1714.66748046875, "p90_units": 1856.3125122070312, "p95_units": 1943.9686767578123, "look_units": 1235.7019267888973, "p10_on": "2028-12-14", "p50_on": "2029-12-15", "p90_on": "2031-03-08", "look_on": "2028-10-08", "tail": 0.5071724653244019, "jumped": 0.0008574022795073688, "rate_mm_per_unit": 0.01085808128118515, "worst_position": 2, "seen_units": 485.0, "coarse": false}');
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
INSERT INTO "forecast_made" VALUES('demo-act-002820','demo-act-002817.set','demo-act-002817','2025-08-05T08:49:00',1,6.81776586914062477252e+02,7.52932012939453102276e+02,1124.80419921875,1728.52646484375,2.02130932617187409044e+03,6.81776587366592138998e+02,5.04513025283813476562e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002826','demo-act-002817.set','demo-act-002817','2025-10-28T09:13:00',2,7.82545587158203147758e+02,8.86018109130859329511e+02,1.17576727294921875004e+03,1.54110172119140634099e+03,1.68394141845703052247e+03,7.82545587533968500792e+02,5.43554544448852539062e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002833','demo-act-002817.set','demo-act-002817','2026-01-20T09:19:00',3,936.031494140625,1.00547852172851560231e+03,1.24840112304687500001e+03,1.51892586669921865905e+03,1.61078979492187499998e+03,9.36031497491756454137e+02,6.20682477951049804687e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002840','demo-act-002838','demo-act-002817','2026-04-14T09:14:00',2,1.03250067138671874997e+03,1140.3046875,1.72047088623046875001e+03,2.91863659667968750001e+03,3.68167531738280968066e+03,1.03250067767081782224e+03,7.38195896148681640625e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002846','demo-act-002838','demo-act-002817','2026-07-07T09:10:00',3,1.14273587036132812501e+03,1.26161860961914067049e+03,1.53892114257812499993e+03,1.87109965820312504538e+03,1.98878895263671847714e+03,1.14273587053839582948e+03,3.24265331029891967773e-01);
INSERT INTO "forecast_made" VALUES('demo-act-002852','demo-act-002838','demo-act-002817','2026-10-13T09:06:00',4,1.2357019226074219205e+03,1.31359622192382812498e+03,1562.3466796875,1.85631251220703120449e+03,1.94396867675781231813e+03,1.23570192678889725359e+03,5.07172465324401855468e-01);
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
INSERT INTO "motor" VALUES('demo-act-002817','A-10','Haze fan','stage left','appliance',NULL,1,'demo-act-002817');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('demo-act-002817','expected_life_units',1200.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002817','grade_family',NULL,'resin-bonded');
INSERT INTO "motor_figure" VALUES('demo-act-002817','instrument',NULL,'digital-caliper');
INSERT INTO "motor_figure" VALUES('demo-act-002817','limit_mm',9.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002817','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('demo-act-002817','new_mm',24.0,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002817','thickness_mm',6.3,NULL);
INSERT INTO "motor_figure" VALUES('demo-act-002817','width_mm',11.0,NULL);
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
INSERT INTO "past_set" VALUES('demo-act-002817.set','demo-act-002817',-4.34836535210075059154e+00,0);
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
INSERT INTO "position" VALUES('demo-act-002817',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('demo-act-002817',2,'B',270.0,2,'-');
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
INSERT INTO "reading" VALUES('demo-act-002821','demo-act-002820',1,'22.77','mm','length','digital-caliper',22.77,22.77,0.05,22.77,22.77,NULL,NULL,'','','',NULL,'demo-act-002821');
INSERT INTO "reading" VALUES('demo-act-002822','demo-act-002820',2,'22.8','mm','length','digital-caliper',22.8,22.8,0.05,22.8,22.8,NULL,NULL,'','','',NULL,'demo-act-002822');
INSERT INTO "reading" VALUES('demo-act-002827','demo-act-002826',1,'22.07','mm','length','digital-caliper',22.07,22.07,0.05,22.07,22.07,NULL,NULL,'','','',NULL,'demo-act-002827');
INSERT INTO "reading" VALUES('demo-act-002828','demo-act-002826',2,'22.12','mm','length','digital-caliper',22.12,22.12,0.05,22.12,22.12,NULL,NULL,'','','',NULL,'demo-act-002828');
INSERT INTO "reading" VALUES('demo-act-002834','demo-act-002833',1,'21.1','mm','length','digital-caliper',21.1,21.1,0.05,21.1,21.1,NULL,NULL,'','','',NULL,'demo-act-002834');
INSERT INTO "reading" VALUES('demo-act-002835','demo-act-002833',2,'21.16','mm','length','digital-caliper',21.16,21.16,0.05,21.16,21.16,NULL,NULL,'','','',NULL,'demo-act-002835');
INSERT INTO "reading" VALUES('demo-act-002838.1','demo-act-002838.fit',1,'23.88','mm','length','digital-caliper',23.88,23.88,0.05,23.88,23.88,NULL,NULL,'','','',NULL,'demo-act-002838');
INSERT INTO "reading" VALUES('demo-act-002838.2','demo-act-002838.fit',2,'24.01','mm','length','digital-caliper',24.01,24.01,0.05,24.01,24.01,NULL,NULL,'','','',NULL,'demo-act-002838');
INSERT INTO "reading" VALUES('demo-act-002841','demo-act-002840',1,'23.37','mm','length','digital-caliper',23.37,23.37,0.05,23.37,23.37,NULL,NULL,'','','',NULL,'demo-act-002841');
INSERT INTO "reading" VALUES('demo-act-002842','demo-act-002840',2,'23.3','mm','length','digital-caliper',23.3,23.3,0.05,23.3,23.3,NULL,NULL,'','','',NULL,'demo-act-002842');
INSERT INTO "reading" VALUES('demo-act-002847','demo-act-002846',1,'22.08','mm','length','digital-caliper',22.08,22.08,0.05,22.08,22.08,NULL,NULL,'','','',NULL,'demo-act-002847');
INSERT INTO "reading" VALUES('demo-act-002848','demo-act-002846',2,'21.94','mm','length','digital-caliper',21.94,21.94,0.05,21.94,21.94,NULL,NULL,'','','',NULL,'demo-act-002848');
INSERT INTO "reading" VALUES('demo-act-002853','demo-act-002852',1,'21.57','mm','length','digital-caliper',21.57,21.57,0.05,21.57,21.57,NULL,NULL,'','','',NULL,'demo-act-002853');
INSERT INTO "reading" VALUES('demo-act-002854','demo-act-002852',2,'21.44','mm','length','digital-caliper',21.44,21.44,0.05,21.44,21.44,NULL,NULL,'','','',NULL,'demo-act-002854');
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
INSERT INTO "round" VALUES('demo-act-002820','demo-act-002817','demo-act-002817.set','check','2025-08-05T08:19:00',1,71.0,'2025-08-05T08:49:00','demo-act-002820');
INSERT INTO "round" VALUES('demo-act-002826','demo-act-002817','demo-act-002817.set','check','2025-10-28T08:43:00',2,131.0,'2025-10-28T09:13:00','demo-act-002826');
INSERT INTO "round" VALUES('demo-act-002833','demo-act-002817','demo-act-002817.set','check','2026-01-20T08:49:00',3,222.0,'2026-01-20T09:19:00','demo-act-002833');
INSERT INTO "round" VALUES('demo-act-002838.fit','demo-act-002817','demo-act-002838','fitting','2026-03-10T08:08:00',4,280.0,'2026-03-10T08:08:00','demo-act-002838');
INSERT INTO "round" VALUES('demo-act-002840','demo-act-002817','demo-act-002838','check','2026-04-14T08:44:00',5,322.0,'2026-04-14T09:14:00','demo-act-002840');
INSERT INTO "round" VALUES('demo-act-002846','demo-act-002817','demo-act-002838','check','2026-07-07T08:40:00',6,438.0,'2026-07-07T09:10:00','demo-act-002846');
INSERT INTO "round" VALUES('demo-act-002852','demo-act-002817','demo-act-002838','check','2026-10-13T08:36:00',7,485.0,'2026-10-13T09:06:00','demo-act-002852');
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
INSERT INTO "rule_override" VALUES('demo-act-003001','fit.clearance-most','site','',0.25,'the house keeps brushes tighter after two chipped sets',NULL,'demo-act-003001','');
INSERT INTO "rule_override" VALUES('demo-act-003002','school.old-or-new','motor','demo-act-002679',0.0,'no such carbon is made any more, and it runs well',NULL,'demo-act-003002','keep');
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
INSERT INTO "sheet" VALUES('demo-act-002820','demo-act-002817',1,'quick','2025-08-05T08:19:00','2025-08-05T08:49:00','{"person": "Maud Celliers", "sentence": "Run on. Brush A has 13.8 mm to its limit, 92% of its usable carbon. First brush at its limit at about 1\u202f120 h, around 21 May 2028; 8 times in 10 between 752 and 1\u202f720 h, 1 March 2027 to 16 June 2030. Look again by 681 h, 30 November 2026: at most 5 chances in 100 that the limit is passed before. (From 1 round and the expected life.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 92%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 681 h, 30 November 2026 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 5 August 2027 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 865 h, plan by 706 h, look again by 468 h.", "Dates from 7.1 h a week (10 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2026-11-30", "look_at": 681.7765873665921, "look_by": "forecast", "sooner": ""}','demo-act-002820');
INSERT INTO "sheet" VALUES('demo-act-002826','demo-act-002817',2,'quick','2025-10-28T08:43:00','2025-10-28T09:13:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 13.1 mm to its limit, 87% of its usable carbon. First brush at its limit at about 1\u202f170 h, around 15 June 2029; 8 times in 10 between 886 and 1\u202f540 h, 26 March 2028 to 27 April 2031. Look again by 28 October 2027, for the calendar limit. (From 2 rounds and the expected life.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 87%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 782 h, 11 November 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before.", "Look by 28 October 2027 for the calendar limit: 24 months since the last complete look: low use is not health; this comes first.", "Straight line: do not exceed 1\u202f018 h, plan by 840 h, look again by 574 h.", "Dates from 5.5 h a week (24 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2027-10-28", "look_at": null, "look_by": "calendar limit", "sooner": ""}','demo-act-002826');
INSERT INTO "sheet" VALUES('demo-act-002833','demo-act-002817',3,'quick','2026-01-20T08:49:00','2026-01-20T09:19:00','{"person": "Bram Aldous", "sentence": "Run on. Brush A has 12.1 mm to its limit, 81% of its usable carbon. First brush at its limit at about 1\u202f240 h, around 14 March 2029; 8 times in 10 between 1\u202f000 and 1\u202f510 h, 15 March 2028 to 29 June 2030. Look again by 936 h, 30 December 2027: at most 5 chances in 100 that the limit is passed before. (From 3 rounds and the expected life.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush A is 81%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 936 h, 30 December 2027 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 20 January 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f148 h, plan by 963 h, look again by 685 h.", "Dates from 6.2 h a week (36 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2027-12-30", "look_at": 936.0314974917565, "look_by": "forecast", "sooner": ""}','demo-act-002833');
INSERT INTO "sheet" VALUES('demo-act-002840','demo-act-002817',4,'quick','2026-04-14T08:44:00','2026-04-14T09:14:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 14.3 mm to its limit, 95% of its usable carbon. First brush at its limit at about 1\u202f720 h, around 11 May 2030; 8 times in 10 between 1\u202f140 and 2\u202f910 h, 20 July 2028 to 16 November 2033. Look again by 1\u202f030 h, 22 February 2028: at most 5 chances in 100 that the limit is passed before. (From 2 rounds and 1 earlier set.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 95%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 1\u202f030 h, 22 February 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 14 April 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f167 h, plan by 998 h, look again by 744 h.", "Dates from 6.7 h a week (48 weeks of log).", "Uneven: the wear differs by 33% of its mean, B most. Look at holder, spring and lead there before renewing."], "open": [], "why": "", "work": [], "look_on": "2028-02-22", "look_at": 1032.5006776708178, "look_by": "forecast", "sooner": ""}','demo-act-002840');
INSERT INTO "sheet" VALUES('demo-act-002846','demo-act-002817',5,'quick','2026-07-07T08:40:00','2026-07-07T09:10:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.9 mm to its limit, 86% of its usable carbon. First brush at its limit at about 1\u202f530 h, around 15 July 2029; 8 times in 10 between 1\u202f260 and 1\u202f870 h, 14 July 2028 to 4 October 2030. Look again by 1\u202f140 h, 24 April 2028: at most 5 chances in 100 that the limit is passed before. (From 3 rounds and 1 earlier set.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 86%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 1\u202f140 h, 24 April 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 7 July 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f425 h, plan by 1\u202f228 h, look again by 931 h.", "Dates from 7.0 h a week (55 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2028-04-24", "look_at": 1142.7358705383958, "look_by": "forecast", "sooner": ""}','demo-act-002846');
INSERT INTO "sheet" VALUES('demo-act-002852','demo-act-002817',6,'quick','2026-10-13T08:36:00','2026-10-13T09:06:00','{"person": "Bram Aldous", "sentence": "Run on. Brush B has 12.4 mm to its limit, 83% of its usable carbon. First brush at its limit at about 1\u202f560 h, around 13 September 2029; 8 times in 10 between 1\u202f310 and 1\u202f850 h, 13 October 2028 to 25 October 2030. Look again by 1\u202f230 h, 1 August 2028: at most 5 chances in 100 that the limit is passed before. (From 4 rounds and 1 earlier set.)", "word": "Run on", "stage": "fit", "reasons": ["Run on: usable carbon of brush B is 83%, over 40%.", "Limit 9.0 mm: maker''s figure.", "Look by 1\u202f230 h, 1 August 2028 by the forecast: at most 5 chances in 100 per interval that the limit is passed before; this comes first.", "Look by 13 October 2028 for the calendar limit: 24 months since the last complete look: low use is not health.", "Straight line: do not exceed 1\u202f477 h, plan by 1\u202f278 h, look again by 981 h.", "Dates from 7.1 h a week (54 weeks of log)."], "open": [], "why": "", "work": [], "look_on": "2028-08-01", "look_at": 1235.7019267888973, "look_by": "forecast", "sooner": ""}','demo-act-002852');
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
INSERT INTO "shutdown" VALUES('demo-act-002997','Summer, house dark','2023-07-01','2023-08-31',1,'',NULL,'demo-act-002997');
INSERT INTO "shutdown" VALUES('demo-act-002998','Get-in of the winter piece','2026-12-07','2026-12-13',0,'stage',NULL,'demo-act-002998');
INSERT INTO "shutdown" VALUES('demo-act-002999','February refit','2027-02-08','2027-02-21',0,'',NULL,'demo-act-002999');
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Lanternmoor Playhouse, engineering shop','2026-11-24','2026-11-28T17:49:47');
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
INSERT INTO "standing" VALUES('demo-act-002817',3002,'fit',0,'2029-12-15','2028-10-08','2029-12-15',1.24400000000000012791e+01,'Run on. Brush B has 12.4 mm to its limit, 83% of its usable carbon. First brush at its limit at about 1 560 h, around 15 December 2029; 8 times in 10 between 1 310 and 1 850 h, 14 December 2028 to 8 March 2031. Look again by 1 230 h, 8 October 2028: at most 5 chances in 100 that the limit is passed before. (From 4 rounds and 1 earlier set.)','Run on','','{"new_mm": 24.0, "limit_mm": 9.0, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 21.57, "next_mm": 13.110870971305602, "old": false}, {"label": "B", "length_mm": 21.44, "next_mm": 12.028761210500168, "old": false}]}','2028-12-14','2031-03-08','forecast',41);
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
INSERT INTO "type_figure" VALUES('demo-act-000001','end_float_high_mm',0.4,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','end_float_low_mm',0.1,NULL);
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
INSERT INTO "type_figure" VALUES('demo-act-000001','slot_width_mm',0.95,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','thickness_mm',12.5,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','track_mm',58.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','undercut_mm',1.1,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','width_mm',25.0,NULL);
INSERT INTO "type_figure" VALUES('demo-act-000001','winding',NULL,'wave');
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
INSERT INTO "use_entry" VALUES('demo-act-002817.use','demo-act-002817',1,'2025-05-13T08:14:00',0.0,0.0,'0','first',NULL,'demo-act-002817');
INSERT INTO "use_entry" VALUES('demo-act-002818','demo-act-002817',2,'2025-06-17T08:46:00',51.0,51.0,'51','',NULL,'demo-act-002818');
INSERT INTO "use_entry" VALUES('demo-act-002819','demo-act-002817',3,'2025-07-22T08:26:00',71.0,71.0,'71','',NULL,'demo-act-002819');
INSERT INTO "use_entry" VALUES('demo-act-002824','demo-act-002817',4,'2025-08-26T08:07:00',71.0,71.0,'71','',NULL,'demo-act-002824');
INSERT INTO "use_entry" VALUES('demo-act-002825','demo-act-002817',5,'2025-09-30T08:15:00',103.0,103.0,'103','',NULL,'demo-act-002825');
INSERT INTO "use_entry" VALUES('demo-act-002826.use','demo-act-002817',6,'2025-10-28T08:43:00',131.0,131.0,'131','',NULL,'demo-act-002826');
INSERT INTO "use_entry" VALUES('demo-act-002830','demo-act-002817',7,'2025-11-04T08:01:00',138.0,138.0,'138','',NULL,'demo-act-002830');
INSERT INTO "use_entry" VALUES('demo-act-002831','demo-act-002817',8,'2025-12-09T08:03:00',172.0,172.0,'172','',NULL,'demo-act-002831');
INSERT INTO "use_entry" VALUES('demo-act-002832','demo-act-002817',9,'2026-01-13T08:46:00',213.0,213.0,'213','',NULL,'demo-act-002832');
INSERT INTO "use_entry" VALUES('demo-act-002833.use','demo-act-002817',10,'2026-01-20T08:49:00',222.0,222.0,'222','',NULL,'demo-act-002833');
INSERT INTO "use_entry" VALUES('demo-act-002837','demo-act-002817',11,'2026-02-17T08:29:00',256.0,256.0,'256','',NULL,'demo-act-002837');
INSERT INTO "use_entry" VALUES('demo-act-002838.use','demo-act-002817',12,'2026-03-10T08:08:00',280.0,280.0,'280','',NULL,'demo-act-002838');
INSERT INTO "use_entry" VALUES('demo-act-002839','demo-act-002817',13,'2026-03-24T08:06:00',296.0,296.0,'296','',NULL,'demo-act-002839');
INSERT INTO "use_entry" VALUES('demo-act-002840.use','demo-act-002817',14,'2026-04-14T08:44:00',322.0,322.0,'322','',NULL,'demo-act-002840');
INSERT INTO "use_entry" VALUES('demo-act-002844','demo-act-002817',15,'2026-04-28T08:30:00',341.0,341.0,'341','',NULL,'demo-act-002844');
INSERT INTO "use_entry" VALUES('demo-act-002845','demo-act-002817',16,'2026-06-02T08:01:00',393.0,393.0,'393','',NULL,'demo-act-002845');
INSERT INTO "use_entry" VALUES('demo-act-002846.use','demo-act-002817',17,'2026-07-07T08:40:00',438.0,438.0,'438','',NULL,'demo-act-002846');
INSERT INTO "use_entry" VALUES('demo-act-002850','demo-act-002817',18,'2026-08-11T08:01:00',438.0,438.0,'438','',NULL,'demo-act-002850');
INSERT INTO "use_entry" VALUES('demo-act-002851','demo-act-002817',19,'2026-09-15T08:12:00',454.0,454.0,'454','',NULL,'demo-act-002851');
INSERT INTO "use_entry" VALUES('demo-act-002852.use','demo-act-002817',20,'2026-10-13T08:36:00',485.0,485.0,'485','',NULL,'demo-act-002852');
INSERT INTO "use_entry" VALUES('demo-act-002856','demo-act-002817',21,'2026-10-20T08:33:00',492.0,492.0,'492','',NULL,'demo-act-002856');
INSERT INTO "use_entry" VALUES('demo-act-002857','demo-act-002817',22,'2026-11-24T08:25:00',526.0,526.0,'526','',NULL,'demo-act-002857');
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
CREATE INDEX entry_by_field on entry (field) where replaced_by is null;
COMMIT;
