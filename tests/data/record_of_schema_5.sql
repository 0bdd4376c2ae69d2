pragma application_id = 1315926646;
pragma user_version = 5;
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
INSERT INTO "act" VALUES('test-act-00001',1,'2026-06-01T09:00:00','person-of-test','add a motor','test-act-00001','917ece659f1e26a5980dc8ec1b231dbd4038571c9bb3cb8efb69abafbef21642','test-act-00001','{}','{"tag": "X-01", "name": "Trap winch", "figures": {"thickness_mm": 8.0, "width_mm": 16.0, "new_mm": 22.0, "commutator_d_mm": 60.0, "bars": 45.0, "limit_mm": 8.0, "speed_taps": "0.5; 1", "rated_v": 230.0, "rated_a": 9.0, "grade_family": "electrographite", "mass_kg": 60.0, "capacitors": "yes", "form_wound": "yes", "limit_source": "maker"}}');
INSERT INTO "act" VALUES('test-act-00002',2,'2026-06-01T09:01:00','person-of-test','open a sheet','test-act-00001','43ccb9b49f442af5d839af22444948ca10abe3f629eb57dd77f81a37cd4d81ed','test-act-00002','{}','{"set": 1, "kind": "check", "counter": 100.0, "total": 100.0, "sheet": 1, "look": "full"}');
INSERT INTO "act" VALUES('test-act-00003',3,'2026-06-01T09:01:05','person-of-test','enter','test-act-00001','54fc3cb091c8a60724dbf49278a266345433ae17b30054c21d0ca9c241e34c1b','test-act-00003','{}','{"field": "waive.safe", "place": 0, "typed": "shown in a test"}');
INSERT INTO "act" VALUES('test-act-00004',4,'2026-06-01T09:01:10','person-of-test','enter','test-act-00001','b7482605912f8c2ea70151ccd6642cf24a616216fb28bb25228c51c2813bd410','test-act-00004','{}','{"field": "waive.power", "place": 0, "typed": "shown in a test"}');
INSERT INTO "act" VALUES('test-act-00005',5,'2026-06-01T09:01:15','person-of-test','enter','test-act-00001','3e47ee746c8682dd38fed0d0648cb12db9d9d6cc020fdaff9c065331aea62457','test-act-00005','{}','{"field": "waive.service", "place": 0, "typed": "shown in a test"}');
INSERT INTO "act" VALUES('test-act-00006',6,'2026-06-01T09:01:20','person-of-test','enter','test-act-00001','4663cbf61412e45552aab2c063cb2e8558ef785c51aae889962d973313f5e86e','test-act-00006','{}','{"field": "permit.open", "place": 1, "typed": "volts", "who": "Ines", "barriers": "rope", "minutes": "30"}');
INSERT INTO "act" VALUES('test-act-00007',7,'2026-06-01T09:01:25','person-of-test','measure','test-act-00001','3ebeafb285c3baff82009b61af3fbc80ce7e13ec472efbfc0b8a43db0ceb5010','test-act-00007','{}','{"position": "A", "typed": "9.1", "length_mm": 9.1, "doubt": ""}');
INSERT INTO "act" VALUES('test-act-00008',8,'2026-06-01T09:01:30','person-of-test','measure','test-act-00001','9d771e1a2d3da6a77efd74dbe530e034e495e23dabcc00bba94ddde003f5bf6d','test-act-00008','{}','{"position": "B", "typed": "15", "length_mm": 15.0, "doubt": ""}');
INSERT INTO "act" VALUES('test-act-00009',9,'2026-06-01T09:01:35','person-of-test','note a finding','test-act-00001','5a46650d42e4fcf4053be7dee27118b9b0b23dee96b26eaeacb39d7dfdf9a3e0','test-act-00002','{}','{"position": "A", "seen": "lead.taut", "taken back": false}');
INSERT INTO "act" VALUES('test-act-00010',10,'2026-06-01T09:01:40','person-of-test','note a finding','test-act-00001','692c1e26e68ae89603c746fbcbb6276eb09f148ede402513bdc554502e64a512','test-act-00002','{}','{"position": "A", "seen": "terminal.poor", "taken back": false}');
INSERT INTO "act" VALUES('test-act-00011',11,'2026-06-01T09:01:45','person-of-test','note a finding','test-act-00001','5a0e4ab0e486e72f1bcc62c2de893500aaaa6c0f63b371416566055655131309','test-act-00002','{}','{"position": "A", "seen": "face.glazed", "taken back": false}');
INSERT INTO "act" VALUES('test-act-00012',12,'2026-06-01T09:01:50','person-of-test','note a finding','test-act-00001','767581a3c86dedd1aaf26a7a7003fa51610d253a40a214c4e093f79f4568aa47','test-act-00002','{}','{"position": "A", "seen": "brush.sticky", "taken back": false}');
INSERT INTO "act" VALUES('test-act-00013',13,'2026-06-01T09:01:55','person-of-test','enter','test-act-00001','8a2a2bfa3df77d56545f89117f98005b2fe23ccc70732402f873265cc76892f5','test-act-00013','{}','{"field": "bump", "place": 0, "typed": "right"}');
INSERT INTO "act" VALUES('test-act-00014',14,'2026-06-01T09:02:00','person-of-test','enter','test-act-00001','cf91e7d57c4dd6b766d0b095ffb50ee470299f5204ed324b8de5ceda5ae06ae7','test-act-00014','{}','{"field": "run-v", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00015',15,'2026-06-01T09:02:05','person-of-test','enter','test-act-00001','5af1e0d3b07a6e0d7fca3b0a3f9f011d1a6c30f3482d1063dc24d350f9b1ade8','test-act-00015','{}','{"field": "run-a", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00016',16,'2026-06-01T09:02:10','person-of-test','enter','test-act-00001','64e2ac727a5d136fceddb3abbc6d5165fed80d2a4fafd7da2bc28b6ba2495c13','test-act-00016','{}','{"field": "run-rpm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00017',17,'2026-06-01T09:02:15','person-of-test','enter','test-act-00001','e1b0a0a3c429ee44e868c70e60d46ea1e40fd52e26753caaa390230498fc47bd','test-act-00017','{}','{"field": "sparks", "place": 0, "typed": "0"}');
INSERT INTO "act" VALUES('test-act-00018',18,'2026-06-01T09:02:20','person-of-test','enter','test-act-00001','4994217e9c8e34e24dc951edd4e78024d1a2280694ecf5e76b0ac23c5870ec09','test-act-00018','{}','{"field": "complaint", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00019',19,'2026-06-01T09:02:25','person-of-test','enter','test-act-00001','8e43fe118c62b6f73159933302d4bc7ff769c692bf0f9ceb406113b73c164371','test-act-00019','{}','{"field": "last-work", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00020',20,'2026-06-01T09:02:30','person-of-test','enter','test-act-00001','22f16451e87a938713a899c0d54e52e61d142ea61537ecd3e5c38f999cc78421','test-act-00020','{}','{"field": "urgency", "place": 0, "typed": "now"}');
INSERT INTO "act" VALUES('test-act-00021',21,'2026-06-01T09:02:35','person-of-test','enter','test-act-00001','a08994b4c360e0dc6c238737f4dd6f5f9e68d42e143bf05d6640b17b714436d5','test-act-00021','{}','{"field": "sign.start", "place": 0, "typed": "dead"}');
INSERT INTO "act" VALUES('test-act-00022',22,'2026-06-01T09:02:40','person-of-test','enter','test-act-00001','ec198743b0fb04b8aa613e9c7f6c65826c3d7f8b61eff7d5c598d09ee7c55b44','test-act-00022','{}','{"field": "sign.tapped", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00023',23,'2026-06-01T09:02:45','person-of-test','enter','test-act-00001','e647eba8884c2151601b6b5b62db4567fc619b44365e620de48fb230fd7a46ea','test-act-00023','{}','{"field": "sign.dead-spot", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00024',24,'2026-06-01T09:02:50','person-of-test','enter','test-act-00001','b5af019d30b689c0973b744e8138fe41ce6a750d662e28c6c717eb17bb6b59fa','test-act-00024','{}','{"field": "sign.weak", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00025',25,'2026-06-01T09:02:55','person-of-test','enter','test-act-00001','80e028031879db184254e6d053ac5cfeb6509cfa087f226a2923aa88cf093b55','test-act-00025','{}','{"field": "sign.hunts", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00026',26,'2026-06-01T09:03:00','person-of-test','enter','test-act-00001','18d0cce54c4cfa457853cb2e80e8b33fbd4890d7a3492e7563cfb037e4b44633','test-act-00026','{}','{"field": "sign.too-fast", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00027',27,'2026-06-01T09:03:05','person-of-test','enter','test-act-00001','82526b29f697a869cbbde8e61c33986198cf69d270e6fe8707a81e7e3d93511f','test-act-00027','{}','{"field": "sign.backwards", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00028',28,'2026-06-01T09:03:10','person-of-test','enter','test-act-00001','7cead8b4e8b6b5daa75ed97350911bee5b96198d7b0fce05a4a668f7e824c6ef','test-act-00028','{}','{"field": "sign.by-direction", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00029',29,'2026-06-01T09:03:15','person-of-test','enter','test-act-00001','24aaa6bbd8275f04648e34dbce373c79962850e865af6336ba40c35be7e9b05c','test-act-00029','{}','{"field": "sign.slow-start", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00030',30,'2026-06-01T09:03:20','person-of-test','enter','test-act-00001','06dd13315aff46c2dbbc0bd92dc8156a97486d2a72b49e94b1e978d04d603801','test-act-00030','{}','{"field": "sign.loud", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00031',31,'2026-06-01T09:03:25','person-of-test','enter','test-act-00001','e2d3ecf31869a3dfb76152db8f88f98d514ac290ec3d69b812a64f608d9f00b4','test-act-00031','{}','{"field": "sign.new-noise", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00032',32,'2026-06-01T09:03:30','person-of-test','enter','test-act-00001','418d0a38f4b1effc00a44d48e6ef1ff26e76a435302b2577bc86b3103bc9abd9','test-act-00032','{}','{"field": "sign.crackles", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00033',33,'2026-06-01T09:03:35','person-of-test','enter','test-act-00001','2a57a7bd437d195a6000170caaa3d80586aca10edcc5fe129d7eff53bcd7ea30','test-act-00033','{}','{"field": "sign.sparks", "place": 0, "typed": "little"}');
INSERT INTO "act" VALUES('test-act-00034',34,'2026-06-01T09:03:40','person-of-test','enter','test-act-00001','462eeb243386a1ff7f71a33fd9669b1259fe8f4fde2ff22bcda4da13bf505e58','test-act-00034','{}','{"field": "sign.gear-work", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00035',35,'2026-06-01T09:03:45','person-of-test','enter','test-act-00001','bf539bc209915f898557bca255d4ad832af71044e5158ba6db79a4da964aa644','test-act-00035','{}','{"field": "sign.wears-fast", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00036',36,'2026-06-01T09:03:50','person-of-test','enter','test-act-00001','87dd97d2d6bb9c621e1605ab8d0b1e19a195f9dc5d4d3c1469ab4969037319f0','test-act-00036','{}','{"field": "sign.shakes", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00037',37,'2026-06-01T09:03:55','person-of-test','enter','test-act-00001','820340b85e0ada83d7baaad4419cdd1c2a626362f67b34ef6e241d2df8f2b79f','test-act-00037','{}','{"field": "sign.belt-stands", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00038',38,'2026-06-01T09:04:00','person-of-test','enter','test-act-00001','8f8c6e08a89ef75982e13971386379ab50e7f162a2b27416edcce7abbba3ba23','test-act-00038','{}','{"field": "sign.stays-on", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00039',39,'2026-06-01T09:04:05','person-of-test','enter','test-act-00001','765868c6a2ad9e3c7d7b25196f7a47b5c9e7427806dc2695d3fc2da63c7ebde9','test-act-00039','{}','{"field": "sign.smell", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00040',40,'2026-06-01T09:04:10','person-of-test','enter','test-act-00001','cf05b9d66c1547baf69ed927ca1de893b2d6a4dd303552a7c1f27128f602a1e9','test-act-00040','{}','{"field": "sign.smoke", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00041',41,'2026-06-01T09:04:15','person-of-test','enter','test-act-00001','7d08969c4805ed469bf539f8b52776dc22c2fa9acda4b053c7731d517a9f1cf9','test-act-00041','{}','{"field": "sign.trips", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00042',42,'2026-06-01T09:04:20','person-of-test','enter','test-act-00001','b146330b14e6b39d30e9a645c002f9de8fc49495898698343364c7de244fb2f9','test-act-00042','{}','{"field": "sign.code", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00043',43,'2026-06-01T09:04:25','person-of-test','enter','test-act-00001','8dc18a46ec9d6e425aa3e3e80feb205d6e155de96f468c05bf481f345af80b9f','test-act-00043','{}','{"field": "sign.hot", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00044',44,'2026-06-01T09:04:30','person-of-test','enter','test-act-00001','010297126c19ade3f17553c7bfa1eb7b840cbee1aa2740707f8975b92382171a','test-act-00044','{}','{"field": "sign.stops-hot", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00045',45,'2026-06-01T09:04:35','person-of-test','enter','test-act-00001','ed31652741d98d38d176fb1c5ef413a8b7ea030e4a6d5d2af7c62f722b06bb39','test-act-00045','{}','{"field": "sign.cold", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00046',46,'2026-06-01T09:04:40','person-of-test','enter','test-act-00001','94f48fb9b64dfdd2baebfb0ae1872be48313733875470d39f130e960c269609a','test-act-00046','{}','{"field": "sign.damp", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00047',47,'2026-06-01T09:04:45','person-of-test','enter','test-act-00001','6dba692530bc1d9ad0dba83cfa4c2aa254fc1b47a395933a8f1a359832d30a6e','test-act-00047','{}','{"field": "sign.idle", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00048',48,'2026-06-01T09:04:50','person-of-test','enter','test-act-00001','506a24de9830cb9ed5feb398b25eceb6837cb08ab533771139de1173a9bf4705','test-act-00048','{}','{"field": "sign.water", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00049',49,'2026-06-01T09:04:55','person-of-test','enter','test-act-00001','6b384641ccc4a9b70f7dac1dafa18b89451c1b7c92201d1374cf9301eb37318a','test-act-00049','{}','{"field": "sign.brush-change", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00050',50,'2026-06-01T09:05:00','person-of-test','enter','test-act-00001','bfc1b03caa980d5bcecf2c2acbaec91c6dc162e4875175a6caf6cf8360d156c7','test-act-00050','{}','{"field": "sign.hums", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00051',51,'2026-06-01T09:05:05','person-of-test','enter','test-act-00001','5ae34edd832148c490c70e5f0884b1005195a7108ab443613dbef46350847dcf','test-act-00051','{}','{"field": "sign.onset", "place": 0, "typed": "sudden"}');
INSERT INTO "act" VALUES('test-act-00052',52,'2026-06-01T09:05:10','person-of-test','enter','test-act-00001','88440fc0f236f531555cc6e8f5d003f3906d0c049dd8e596680cf8c8b97626e9','test-act-00052','{}','{"field": "remark.call-in", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00053',53,'2026-06-01T09:05:15','person-of-test','enter','test-act-00001','f24c28ae0551a01f1e45595f701fbf11db1cba378e860d25b3bdcf2c0d43fac7','test-act-00053','{}','{"field": "safe.method", "place": 0, "typed": "unplugged"}');
INSERT INTO "act" VALUES('test-act-00054',54,'2026-06-01T09:05:20','person-of-test','enter','test-act-00001','25b6f9435ccc379583ff2045286912b450f635b6fa5173f4b112b0062f473ac0','test-act-00054','{}','{"field": "remark.safe", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00055',55,'2026-06-01T09:05:25','person-of-test','enter','test-act-00001','b39a62491ce6039f11c252e6bfe0364171363d3866615ad5aa19450dca471f3e','test-act-00055','{}','{"field": "sign.volts", "place": 0, "typed": "right"}');
INSERT INTO "act" VALUES('test-act-00056',56,'2026-06-01T09:05:30','person-of-test','enter','test-act-00001','a7babef6c0f1008cbb89bd582d1f13549c8ea5b1f61f3a1c3d306924f88d7a9f','test-act-00056','{}','{"field": "sign.joint", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00057',57,'2026-06-01T09:05:35','person-of-test','enter','test-act-00001','2043f6a76f662a32b512d61580c032bf3e820651867eed7dfffd6d95b4d8cd36','test-act-00057','{}','{"field": "sign.taps", "place": 0, "typed": "one"}');
INSERT INTO "act" VALUES('test-act-00058',58,'2026-06-01T09:05:40','person-of-test','enter','test-act-00001','ba477d62af282c27aa9183c4ba93b0b3efb92c3331369f6151184ed51b5affc0','test-act-00058','{}','{"field": "sign.ohms", "place": 0, "typed": "infinite"}');
INSERT INTO "act" VALUES('test-act-00059',59,'2026-06-01T09:05:45','person-of-test','enter','test-act-00001','43d7d35b834c15ffd2797dea3549f5991e19001ed5c1eff6fbecb43815b1d608','test-act-00059','{}','{"field": "sign.ohms-all", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00060',60,'2026-06-01T09:05:50','person-of-test','enter','test-act-00001','377d5d4a0f94d3275e1dd74baabd730cfb7b6ab69a557894ea2fbf4d63dcf557','test-act-00060','{}','{"field": "sign.amps", "place": 0, "typed": "none"}');
INSERT INTO "act" VALUES('test-act-00061',61,'2026-06-01T09:05:55','person-of-test','enter','test-act-00001','c3dd372001333150ac100f5b594c47cf32e146c3ae8d7241a887901b6954846e','test-act-00061','{}','{"field": "sign.by-hand", "place": 0, "typed": "rough"}');
INSERT INTO "act" VALUES('test-act-00062',62,'2026-06-01T09:06:00','person-of-test','enter','test-act-00001','2f094ef7bb39030078f14b67513e7ad8fee41f71b73a6526f599170f127fd205','test-act-00062','{}','{"field": "sign.coasting", "place": 0, "typed": "stays"}');
INSERT INTO "act" VALUES('test-act-00063',63,'2026-06-01T09:06:05','person-of-test','enter','test-act-00001','d2551c2bbe18af05c5ba7854433262e264dc2e707b37ce009a75acbbb9769f7e','test-act-00063','{}','{"field": "sign.cutout-open", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00064',64,'2026-06-01T09:06:10','person-of-test','enter','test-act-00001','8d3e0fdac5b17d4c52972e79ed24365d5ab7697aa16597ca36eb50bf1b774972','test-act-00064','{}','{"field": "supply-v", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00065',65,'2026-06-01T09:06:15','person-of-test','enter','test-act-00001','891597bc690ad8e7f87c04198ca29e66b7c829488bbd49b0a349193b81b75f01','test-act-00065','{}','{"field": "tap-v", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00066',66,'2026-06-01T09:06:20','person-of-test','enter','test-act-00001','afcf1ee8c4a0335f7254eabb3c1a57df5c7b70c46fc9489767cd7132a4e3e8d0','test-act-00066','{}','{"field": "tap-v", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00067',67,'2026-06-01T09:06:25','person-of-test','enter','test-act-00001','0c9574b44ce5e0ef94ab3782b43c6b3778c4e224be13192924a165259014b8e0','test-act-00067','{}','{"field": "joint-v", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00068',68,'2026-06-01T09:06:30','person-of-test','enter','test-act-00001','b653a41a6b84ad944631ffe202babc471de90614ffeb1191a17abaec75bdc8cf','test-act-00068','{}','{"field": "terminal-ohm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00069',69,'2026-06-01T09:06:35','person-of-test','enter','test-act-00001','e2e1e4aebb161b42b38b998e6ec926eb5b4fb39bc5afc9991a424dbbd5f6a817','test-act-00069','{}','{"field": "terminal-step", "place": 0, "typed": "0.01"}');
INSERT INTO "act" VALUES('test-act-00070',70,'2026-06-01T09:06:40','person-of-test','enter','test-act-00001','7028e9993ce05958953adbada1235357d0ef69c93253d3cab4fee70ad201c3e2','test-act-00070','{}','{"field": "terminal-v", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00071',71,'2026-06-01T09:06:45','person-of-test','enter','test-act-00001','fdfdae6682882f689f34524581b148f5c8679c27ec8c2fe20f80ab7fc290f60d','test-act-00071','{}','{"field": "remark.before", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00072',72,'2026-06-01T09:06:50','person-of-test','enter','test-act-00001','7d49c710ad72336200aeb3156ee1d14019f56364fedcc63490eeda1e5b6d8224','test-act-00072','{}','{"field": "state", "place": 0, "typed": "opened"}');
INSERT INTO "act" VALUES('test-act-00073',73,'2026-06-01T09:06:55','person-of-test','enter','test-act-00001','171559fd31ddffea141bacfd63d18e7f3014ef959bc8146ddd7378f1127a5f88','test-act-00073','{}','{"field": "marks", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00074',74,'2026-06-01T09:07:00','person-of-test','enter','test-act-00001','3d1ba6d7589751c8b0f1607d2207dc8a0c12faf64b8631146c139b49a3d7ff3e','test-act-00074','{}','{"field": "photos", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00075',75,'2026-06-01T09:07:05','person-of-test','enter','test-act-00001','96c3e13d5347020aeebeba8e51e9bda89a6cf64605c56816d5e820a1770dbf95','test-act-00075','{}','{"field": "wires", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00076',76,'2026-06-01T09:07:10','person-of-test','enter','test-act-00001','5435696448248c4d0bd56ac19ed10b5bb994411fca9e197839d0cbd1d746e195','test-act-00076','{}','{"field": "stack", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00077',77,'2026-06-01T09:07:15','person-of-test','enter','test-act-00001','9c4d28060d97d943b9592d5311367f241031c505b9e3964fb1342347c89595b3','test-act-00077','{}','{"field": "mind", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00078',78,'2026-06-01T09:07:20','person-of-test','enter','test-act-00001','bbec1f2d11c3dce93c4ee9f11585d47a9159ebc8858fe6fe405d9327a405e08a','test-act-00078','{}','{"field": "remark.open", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00079',79,'2026-06-01T09:07:25','person-of-test','enter','test-act-00001','a797225bef20244e49873dec32b93f83338498aff6d43937f5f35c1ee15471d9','test-act-00079','{}','{"field": "force", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00080',80,'2026-06-01T09:07:30','person-of-test','enter','test-act-00001','ebc0e6ae219bd19a9ce029a2f22f442169cecb0f267f74f9dc56367bd49c3f31','test-act-00080','{}','{"field": "force", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00081',81,'2026-06-01T09:07:35','person-of-test','enter','test-act-00001','242736fa78cb7633c8718712793b7d7ea455a94547b0a2dc6f6269a002f270fb','test-act-00081','{}','{"field": "gap", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00082',82,'2026-06-01T09:07:40','person-of-test','enter','test-act-00001','3e7c64e1b2545869d1dc96abfd861cc305f0f785ff0f1871a442a48d658ffcb2','test-act-00082','{}','{"field": "gap", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00083',83,'2026-06-01T09:07:45','person-of-test','enter','test-act-00001','7f073d96140b737796bf646ba54fbc659f8cf949c204e2a740184bb54622a581','test-act-00083','{}','{"field": "box-t", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00084',84,'2026-06-01T09:07:50','person-of-test','enter','test-act-00001','cbf872369971362bdcf788122541800478b433a98e2ae32c9b3cc35ad3e52580','test-act-00084','{}','{"field": "box-t", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00085',85,'2026-06-01T09:07:55','person-of-test','enter','test-act-00001','8f9a08c4c5688b65dc99f0c69653fdc4dca8186b34f0d40b310f5d0789dee96d','test-act-00085','{}','{"field": "brush-t", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00086',86,'2026-06-01T09:08:00','person-of-test','enter','test-act-00001','fdc5fa57a72083478d7da9dfb2d8b7c7de33dc810a2ac4fb828ab7c8719d70c8','test-act-00086','{}','{"field": "brush-t", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00087',87,'2026-06-01T09:08:05','person-of-test','enter','test-act-00001','d20df102cdb119f5e5bfd08f0d01880d76f1bc70211dc0d2637a312f5a523454','test-act-00087','{}','{"field": "box-a", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00088',88,'2026-06-01T09:08:10','person-of-test','enter','test-act-00001','e02e72e62261eb748e38243c9e549f88bd4982cfc26dda36ff9bebe548a942b8','test-act-00088','{}','{"field": "box-a", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00089',89,'2026-06-01T09:08:15','person-of-test','enter','test-act-00001','8ce182569d01ee69c2684eda1573110f4b00ce4a0323d5ed8bd7d332d3d9740d','test-act-00089','{}','{"field": "brush-a", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00090',90,'2026-06-01T09:08:20','person-of-test','enter','test-act-00001','0c625b09da1c33464202d00efd3d9d7912033f1c093ab435abd882d7510f534d','test-act-00090','{}','{"field": "brush-a", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00091',91,'2026-06-01T09:08:25','person-of-test','enter','test-act-00001','3f81c2d035db502073e1a075fbc77de98bb44fb3878eb107f136c2fb935f2102','test-act-00091','{}','{"field": "dust-g", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00092',92,'2026-06-01T09:08:30','person-of-test','enter','test-act-00001','25ce91e42ef1e9657b23ed5b9ba2f404cde565b28de10fc870b445b7f22ac2cb','test-act-00092','{}','{"field": "remark.brushes", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00093',93,'2026-06-01T09:08:35','person-of-test','enter','test-act-00001','51dd4ee874de96da3edacdf216a8c4c52053659ec90580bc1fdd4839e88eb31b','test-act-00093','{}','{"field": "seen.commutator.black", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00094',94,'2026-06-01T09:08:40','person-of-test','enter','test-act-00001','caa486a6dc6eacffe185e2e2a52731a3addfd8401af3768da986047b80900c72','test-act-00094','{}','{"field": "seen.commutator.two-bars", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00095',95,'2026-06-01T09:08:45','person-of-test','enter','test-act-00001','ff478ad9d899180d033c7b2ed19634c12d90da36c95289628f5de81cf7d1b51c','test-act-00095','{}','{"field": "seen.commutator.burnt", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00096',96,'2026-06-01T09:08:50','person-of-test','enter','test-act-00001','9c050f48223acbc577b6e2a69ca874eba5590d7dd6fd469a2a895e0c0d8f4039','test-act-00096','{}','{"field": "seen.commutator.rough", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00097',97,'2026-06-01T09:08:55','person-of-test','enter','test-act-00001','95d8457d345f75d02b960f50c594b730da5ae9edadd37777a0a41b9084548df2','test-act-00097','{}','{"field": "seen.commutator.raised", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00098',98,'2026-06-01T09:09:00','person-of-test','enter','test-act-00001','725799b89cab71876ea89668928b2c9018ba66397b79e02d5f32cd4275b2fa3e','test-act-00098','{}','{"field": "seen.commutator.mica", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00099',99,'2026-06-01T09:09:05','person-of-test','enter','test-act-00001','b0ee8d1cb4a1bb7e6a2924538f19a5e068df2901894d519e88bd0686b1c045d2','test-act-00099','{}','{"field": "seen.commutator.slots", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00100',100,'2026-06-01T09:09:10','person-of-test','enter','test-act-00001','09754329ddd7ec62acd278ec8766aec02c2d239ff89467ed69316eb4cee20b2e','test-act-00100','{}','{"field": "seen.commutator.riser", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00101',101,'2026-06-01T09:09:15','person-of-test','enter','test-act-00001','46f197984a2182d0d9c5f7fdb457d275953c68a7a545614e3c00564a91e9a238','test-act-00101','{}','{"field": "seen.commutator.flashover", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00102',102,'2026-06-01T09:09:20','person-of-test','enter','test-act-00001','2a23c0e4dd8cdafa2d3cd7212fe4428a7f6c4f403f61d9b472288595124f0bc3','test-act-00102','{}','{"field": "seen.commutator.open", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00103',103,'2026-06-01T09:09:25','person-of-test','enter','test-act-00001','ee72aea700456f6b399c8841fdcc4b69cab0b70592e580e9a035ad5bcea1481d','test-act-00103','{}','{"field": "seen.commutator.short", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00104',104,'2026-06-01T09:09:30','person-of-test','enter','test-act-00001','e6c0cce9c7fe0e1415012958c529a02fd2cbaabc5abf677e8eb077bb369f59fd','test-act-00104','{}','{"field": "sound.commutator", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00105',105,'2026-06-01T09:09:35','person-of-test','enter','test-act-00001','7ee0377243d94342589bbdd9ec513a1e7a70a2cd17b89e6e8bcf5bf6096563fa','test-act-00105','{}','{"field": "track-d", "place": 0, "typed": "57.1\n57"}');
INSERT INTO "act" VALUES('test-act-00106',106,'2026-06-01T09:09:40','person-of-test','enter','test-act-00001','fbacd0bb94f36cedbc95f7563539b9426dc9d0776de3d5adc6aec826bda447eb','test-act-00106','{}','{"field": "shoulder-d", "place": 0, "typed": "60"}');
INSERT INTO "act" VALUES('test-act-00107',107,'2026-06-01T09:09:45','person-of-test','enter','test-act-00001','11f1993b81adeec22128e56b18388212d0b25cbf86e9a8ad30ab3cdace593620','test-act-00107','{}','{"field": "groove", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00108',108,'2026-06-01T09:09:50','person-of-test','enter','test-act-00001','205bc1ce302066eb41473b5b0571c2ae9b8f75de260dbfb75fcc1166d8a5009f','test-act-00108','{}','{"field": "pit", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00109',109,'2026-06-01T09:09:55','person-of-test','enter','test-act-00001','18e38d5d08f27ae328ca9965f7983ef18b2001f59ef6b2a99a792f6768cac0ae','test-act-00109','{}','{"field": "step", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00110',110,'2026-06-01T09:10:00','person-of-test','enter','test-act-00001','fb2d53d5143a096700f41246863ddca3437227490b9cd22cecd3d5916d2eaf61','test-act-00110','{}','{"field": "slot-depth", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00111',111,'2026-06-01T09:10:05','person-of-test','enter','test-act-00001','c445f08049e14f879e572bd7a0b43ac07880d7337b26f744f905520a70cfb04c','test-act-00111','{}','{"field": "bar-map", "place": 0, "typed": "even 1-44; burnt 7, 30; loose 45"}');
INSERT INTO "act" VALUES('test-act-00112',112,'2026-06-01T09:10:10','person-of-test','enter','test-act-00001','f26448b0f06266caeb3ebf27493056a305760751d432da4e04f2cfdf25a5e87e','test-act-00112','{}','{"field": "run-out", "place": 0, "typed": "0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024"}');
INSERT INTO "act" VALUES('test-act-00113',113,'2026-06-01T09:10:15','person-of-test','enter','test-act-00001','06d09ab202fff039627b42781fd4da184ab67f4ab2672a7f5b4f77541db6da28','test-act-00113','{}','{"field": "run-out-on", "place": 0, "typed": "seats"}');
INSERT INTO "act" VALUES('test-act-00114',114,'2026-06-01T09:10:20','person-of-test','enter','test-act-00001','0cfefa42421eabf2704003d9ccbd91f0be122aadb5c9430203105887887dca7b','test-act-00114','{}','{"field": "run-out-step", "place": 0, "typed": "0.001"}');
INSERT INTO "act" VALUES('test-act-00115',115,'2026-06-01T09:10:25','person-of-test','enter','test-act-00001','4ab0b2e2f74e45e61dee8714cbe2a020b5828b1a9aabb64a4c9153754518c812','test-act-00115','{}','{"field": "bar-test", "place": 0, "typed": "0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024\n0.020\n0.021\n0.022\n0.023\n0.024"}');
INSERT INTO "act" VALUES('test-act-00116',116,'2026-06-01T09:10:30','person-of-test','enter','test-act-00001','83227d46f81210936da3609996a4b616c92b3da2777fc1b015f49102e184e4b5','test-act-00116','{}','{"field": "bar-test-how", "place": 0, "typed": "resistance"}');
INSERT INTO "act" VALUES('test-act-00117',117,'2026-06-01T09:10:35','person-of-test','enter','test-act-00001','4c2549dc1f5e38cb1f8c9a38cb524751d9033f31710adc58b0327ebf77bd28a5','test-act-00117','{}','{"field": "bar-test-fed", "place": 0, "typed": "bars"}');
INSERT INTO "act" VALUES('test-act-00118',118,'2026-06-01T09:10:40','person-of-test','enter','test-act-00001','9bcd67470d24526ac73839594ea4fbdf34d432c5f99ae187e1ccdfe2c598491c','test-act-00118','{}','{"field": "bar-test-lifted", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00119',119,'2026-06-01T09:10:45','person-of-test','enter','test-act-00001','abd5ad4fd1fa446511ee84f6d92695f7a80fcaccf2b97a4e72791a5e7ade61f2','test-act-00119','{}','{"field": "bar-test-noise", "place": 0, "typed": "2 %"}');
INSERT INTO "act" VALUES('test-act-00120',120,'2026-06-01T09:10:50','person-of-test','enter','test-act-00001','a002ef138f17d179712faa3499f62e961a9d52f5ad629abced72fc984f9a639b','test-act-00120','{}','{"field": "bar-shaft", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00121',121,'2026-06-01T09:10:55','person-of-test','enter','test-act-00001','b2ce0618587d47b0d67bef2da582f20219a6b0a79383363ecf7d289cb9de82ab','test-act-00121','{}','{"field": "bar-shaft-bar", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00122',122,'2026-06-01T09:11:00','person-of-test','enter','test-act-00001','9c58d4e0a1cdc4c9fdc0034d954e497864301aa4b12e9b4a325ec31b12c3b4ae','test-act-00122','{}','{"field": "cut-tool", "place": 0, "typed": "hss"}');
INSERT INTO "act" VALUES('test-act-00123',123,'2026-06-01T09:11:05','person-of-test','enter','test-act-00001','84d936ae6d55574fa43c0d2bbf4632f0fdf99f21cfdd508dcb718952999a7841','test-act-00123','{}','{"field": "lathe-speeds", "place": 0, "typed": "1.5\n1.6\n-\n1.4"}');
INSERT INTO "act" VALUES('test-act-00124',124,'2026-06-01T09:11:10','person-of-test','enter','test-act-00001','e718cd692bb04c57cdf68dc85302e206c679958c518818871784c50d64f46c50','test-act-00124','{}','{"field": "rough-cut", "place": 0, "typed": "0.1"}');
INSERT INTO "act" VALUES('test-act-00125',125,'2026-06-01T09:11:15','person-of-test','enter','test-act-00001','262257da32e72d63245a1945c44f2c14bb9c4f49f0c53d48985653f325efeb43','test-act-00125','{}','{"field": "pit-left", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00126',126,'2026-06-01T09:11:20','person-of-test','enter','test-act-00001','3f51eec83f2d3f4cdec35440a9746687c007dcea0af4b1d0e7efa36ae5df71b3','test-act-00126','{}','{"field": "true-setup", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00127',127,'2026-06-01T09:11:25','person-of-test','enter','test-act-00001','1babcd39e724db29e9d621d840b7123ac786f0f25f8fe1896cd1bee7fed72715','test-act-00127','{}','{"field": "cut-done", "place": 0, "typed": "56.5", "radial": "1.75", "sunk": "0.25", "before": "57", "after": "56.5", "least": "57.9", "slot": "1.5"}');
INSERT INTO "act" VALUES('test-act-00128',128,'2026-06-01T09:11:30','person-of-test','enter','test-act-00001','5b26cdfb8e7c8ac04af2cd98465eb539ff20a8883e2e7bfe5abf507e32ec69e5','test-act-00128','{}','{"field": "cut-slots", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00129',129,'2026-06-01T09:11:35','person-of-test','enter','test-act-00001','a5cad2bf9d421cd9ccfc3930462d6e8447892dccf2c3841734f1b15808b6e482','test-act-00129','{}','{"field": "cut-chamfer", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00130',130,'2026-06-01T09:11:40','person-of-test','enter','test-act-00001','f09fb18c704c141b9ad06d9279c84b09754be7aa916391d26efdb36822fce387','test-act-00130','{}','{"field": "cut-again", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00131',131,'2026-06-01T09:11:45','person-of-test','enter','test-act-00001','a78c8ab2684bebddc4ec15537ac888188c1c0b1d28e4d1d11dcd49d726b7316c','test-act-00131','{}','{"field": "cut-vacuumed", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00132',132,'2026-06-01T09:11:50','person-of-test','enter','test-act-00001','05786c2a6d0bd70266ecec1e2baab06ca564abd58752e29ffceb4cbc95e9a651','test-act-00132','{}','{"field": "slot-minutes", "place": 0, "typed": "1.5", "estimated": "45"}');
INSERT INTO "act" VALUES('test-act-00133',133,'2026-06-01T09:11:55','person-of-test','enter','test-act-00001','52e08dc80723a176a1efadae9e94de660ad0540fd5467512e6fe5adf5a5d95ca','test-act-00133','{}','{"field": "surface-with", "place": 0, "typed": "stone"}');
INSERT INTO "act" VALUES('test-act-00134',134,'2026-06-01T09:12:00','person-of-test','enter','test-act-00001','56d4e3104e29f04f5b4e28a802a4ed0414dfdf0824b382f13aabfdda7a9706cc','test-act-00134','{}','{"field": "remark.commutator", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00135',135,'2026-06-01T09:12:05','person-of-test','enter','test-act-00001','4becd4b1887bd4b8480894b1b731622ac919862d54240da27b01a9e57a7f254f','test-act-00135','{}','{"field": "seen.windings.burnt", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00136',136,'2026-06-01T09:12:10','person-of-test','enter','test-act-00001','e2d32a17d2f57135acc0719ac322a88fce3dc5a4449bcae71bf9c58391c2f098','test-act-00136','{}','{"field": "seen.windings.loose", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00137',137,'2026-06-01T09:12:15','person-of-test','enter','test-act-00001','ed5b02fb1d0f240a6582b173eeb9624123cc18e07c9270a4eb7336406e840e31','test-act-00137','{}','{"field": "seen.windings.earth", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00138',138,'2026-06-01T09:12:20','person-of-test','enter','test-act-00001','c6f9fef1d1f85e4f401d498fbd4b30be4c1fbac26a208016a0cc3ab6a55184ab','test-act-00138','{}','{"field": "seen.windings.field", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00139',139,'2026-06-01T09:12:25','person-of-test','enter','test-act-00001','81c9d8f741d052a1b5e08863ad4814833a103d14ffb1ebf522a08f734e9ea2af','test-act-00139','{}','{"field": "seen.windings.binding", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00140',140,'2026-06-01T09:12:30','person-of-test','enter','test-act-00001','933524fb7b12d019c24935593dc833b336df90e20d884570e7cf64dd079c5c77','test-act-00140','{}','{"field": "seen.windings.broken", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00141',141,'2026-06-01T09:12:35','person-of-test','enter','test-act-00001','384a1354d880c39a3a2f0d4fb9672e7264aa79c0cffaa2d7773ec7bf7f2ada9c','test-act-00141','{}','{"field": "seen.windings.core", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00142',142,'2026-06-01T09:12:40','person-of-test','enter','test-act-00001','ddf64339feac7a5da04ad51da4a0d4a226af54ae078b870490067cff89884ec2','test-act-00142','{}','{"field": "seen.windings.poles", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00143',143,'2026-06-01T09:12:45','person-of-test','enter','test-act-00001','9248472028783fd8d51bbcc1a522d8a31a8f963906f6a132ee3f9b9696cd634e','test-act-00143','{}','{"field": "seen.windings.interpole", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00144',144,'2026-06-01T09:12:50','person-of-test','enter','test-act-00001','5e083753e2f57fd9ff3a1b3d94a44b738fb6e457896ec8cbd8ec98138907fa56','test-act-00144','{}','{"field": "seen.windings.dust", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00145',145,'2026-06-01T09:12:55','person-of-test','enter','test-act-00001','e111d0eee835ec70f9e51b21c994d6691f22f6dbe0ff54cad9f7e22aa49ba115','test-act-00145','{}','{"field": "seen.magnets.cracked", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00146',146,'2026-06-01T09:13:00','person-of-test','enter','test-act-00001','df5e3656a005cbed1fe826f308fb0f82183e6414a69689f60d3d050004c896cf','test-act-00146','{}','{"field": "sound.windings", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00147',147,'2026-06-01T09:13:05','person-of-test','enter','test-act-00001','d65e89daf5f516a0684bf88bec491dbd6143046d1fe688cc3c4abe7950fa7b65','test-act-00147','{}','{"field": "parted-capacitors", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00148',148,'2026-06-01T09:13:10','person-of-test','enter','test-act-00001','698f5b8b113e440351db2da3b9fb9446f7db4eca668c83532935c8c553c66c4d','test-act-00148','{}','{"field": "insulation-of", "place": 0, "typed": "whole"}');
INSERT INTO "act" VALUES('test-act-00149',149,'2026-06-01T09:13:15','person-of-test','enter','test-act-00001','bc0fe0912a3d39f4b63a4e95b1f382433e53800e05cdc67ac5c6ffaaf4da0d7e','test-act-00149','{}','{"field": "insulation-dew", "place": 0, "typed": "no"}');
INSERT INTO "act" VALUES('test-act-00150',150,'2026-06-01T09:13:20','person-of-test','enter','test-act-00001','b6912bc887f3b1651354a90c709b0a052ce734423bfd8be37ef2e897976c149c','test-act-00150','{}','{"field": "insulation-mohm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00151',151,'2026-06-01T09:13:25','person-of-test','enter','test-act-00001','5d191c7b67476a032b13fead646e5d74a88847e56de1ccee333231ca5c580c7e','test-act-00151','{}','{"field": "insulation-c", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00152',152,'2026-06-01T09:13:30','person-of-test','enter','test-act-00001','8383a3f00aa5fe279da84539e948ce97883205815c209c2ebd0418a759522d64','test-act-00152','{}','{"field": "insulation-10", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00153',153,'2026-06-01T09:13:35','person-of-test','enter','test-act-00001','b31d5812d87f1dc6722b09b3e2b736bd302e2a2a1d89baa50cc31f879ff8a8d4','test-act-00153','{}','{"field": "coils", "place": 0, "typed": "1.5\n1.6\n-\n1.4"}');
INSERT INTO "act" VALUES('test-act-00154',154,'2026-06-01T09:13:40','person-of-test','enter','test-act-00001','9df4940a24e4de9e3d4db372560b738a265821f7120a1ca702dfb4cd69538372','test-act-00154','{}','{"field": "coils-c", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00155',155,'2026-06-01T09:13:45','person-of-test','enter','test-act-00001','ce7bd9dee4abff751f0db7100422da64ad0290992bc34dddc98efb40ddc66051','test-act-00155','{}','{"field": "cold-ohm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00156',156,'2026-06-01T09:13:50','person-of-test','enter','test-act-00001','58f20ed305500b5a533fab27ca2b932b7af521481f56d3e6a5ddc69e55c983c0','test-act-00156','{}','{"field": "cold-c", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00157',157,'2026-06-01T09:13:55','person-of-test','enter','test-act-00001','1bc0dea26d9ce1d224982b8e0fca78f62a66fabba4af5a7101bfed4de2e3ab48','test-act-00157','{}','{"field": "hot-ohm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00158',158,'2026-06-01T09:14:00','person-of-test','enter','test-act-00001','a28c218a05e3c1631c0284bc3552cda2d741822486a172920f7ebbe66999e5a9','test-act-00158','{}','{"field": "air-c", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00159',159,'2026-06-01T09:14:05','person-of-test','enter','test-act-00001','61da9bb3c2059cef7b42a4e50fac4509efddd7599671feb406471373a5d2d642','test-act-00159','{}','{"field": "growler", "place": 0, "typed": "pass"}');
INSERT INTO "act" VALUES('test-act-00160',160,'2026-06-01T09:14:10','person-of-test','enter','test-act-00001','1bb6995946a346b654d98499cd9a1d3819ea075444aceeeb2e83c0c98b4b5c87','test-act-00160','{}','{"field": "growler-slots", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00161',161,'2026-06-01T09:14:15','person-of-test','enter','test-act-00001','8122f56b7e470f317a15c1b8ecabf2e5ac5b76bcc5ab49763f6e00aa735c83f0','test-act-00161','{}','{"field": "wear-chain", "place": 0, "typed": "right"}');
INSERT INTO "act" VALUES('test-act-00162',162,'2026-06-01T09:14:20','person-of-test','enter','test-act-00001','89191cc87226c418b40793d292642d51397962b5c2411ae391fc3cc88d820e20','test-act-00162','{}','{"field": "heat-chain", "place": 0, "typed": "right"}');
INSERT INTO "act" VALUES('test-act-00163',163,'2026-06-01T09:14:25','person-of-test','enter','test-act-00001','14cef8226cd83c750ec26e20bee39e44b1f42a2eb564b5bf1538974755facaa0','test-act-00163','{}','{"field": "remark.windings", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00164',164,'2026-06-01T09:14:30','person-of-test','enter','test-act-00001','b77f3494aee182502960355ef4c545b37b6f14eb1144d778f4317c2dec16600a','test-act-00164','{}','{"field": "seen.bearing.rough", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00165',165,'2026-06-01T09:14:35','person-of-test','enter','test-act-00001','ab9606591ff27a84ec6c927a2b5533165898a35d9ed54c3d5238543758013f6b','test-act-00165','{}','{"field": "seen.bearing.loose", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00166',166,'2026-06-01T09:14:40','person-of-test','enter','test-act-00001','5c99395b1051ffa606e38d41eb6fce44b7cdca9c790bed849ed664d6ca3d2ff0','test-act-00166','{}','{"field": "seen.bearing.locked", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00167',167,'2026-06-01T09:14:45','person-of-test','enter','test-act-00001','cc09c9eaa85c406c2a897115efff473a61c5e732dc56105a4f8c6cbefa8b109e','test-act-00167','{}','{"field": "seen.bearing.dry", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00168',168,'2026-06-01T09:14:50','person-of-test','enter','test-act-00001','42b45fa6ae624f395939e67e1dab0f33db36e92634cf49afe7c60a2215924d6c','test-act-00168','{}','{"field": "seen.bush.dry", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00169',169,'2026-06-01T09:14:55','person-of-test','enter','test-act-00001','488a1f1bb265699d7f411fbf3a7c02b34815c4c00016e39466c8901f76b2a4c4','test-act-00169','{}','{"field": "seen.bearing.seal", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00170',170,'2026-06-01T09:15:00','person-of-test','enter','test-act-00001','febb2bd1a6c089afdaf29e32026d1882c814bb36a5571fafbeeca7f6832ddb75','test-act-00170','{}','{"field": "seen.drive.shaft", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00171',171,'2026-06-01T09:15:05','person-of-test','enter','test-act-00001','b36bbb989730163e68f09ea3433f95677b6f65ca5d979ec2f069475cd0e83c09','test-act-00171','{}','{"field": "seen.drive.keyway", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00172',172,'2026-06-01T09:15:10','person-of-test','enter','test-act-00001','4b4694e240d700814f7d949354047f4846576dcb85cf912da6e564db2b30069e','test-act-00172','{}','{"field": "seen.drive.fan", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00173',173,'2026-06-01T09:15:15','person-of-test','enter','test-act-00001','accc8f2ade8e2a64642eb5d71cea741d174e008cf21989342e77d3170a3f9b7e','test-act-00173','{}','{"field": "seen.drive.worn", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00174',174,'2026-06-01T09:15:20','person-of-test','enter','test-act-00001','091f5b1b73f09020447492946f266701025cc158bfb98c201a84b68f84fa6b83','test-act-00174','{}','{"field": "seen.drive.belt", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00175',175,'2026-06-01T09:15:25','person-of-test','enter','test-act-00001','6b574af0e132fff0cae70f67e6b80b85739d38a83ebf643dcfa9397c6aaab692','test-act-00175','{}','{"field": "seen.drive.washer", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00176',176,'2026-06-01T09:15:30','person-of-test','enter','test-act-00001','e7715e0f817dca55aa2725fce161e956fdb77334ecb4fd69274e8c7fdb477bd6','test-act-00176','{}','{"field": "seen.drive.jammed", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00177',177,'2026-06-01T09:15:35','person-of-test','enter','test-act-00001','e55ffa9f8c648036f69511ac6148c03c56db4ce99efa7be15325b53cbefae400','test-act-00177','{}','{"field": "sound.drive", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00178',178,'2026-06-01T09:15:40','person-of-test','enter','test-act-00001','c846692368740876646ab8c1d104357492a55f26e73b657cc949569eb7309ddd','test-act-00178','{}','{"field": "b-number", "place": 1, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00179',179,'2026-06-01T09:15:45','person-of-test','enter','test-act-00001','21003ddcfc982e555444fa0057f33e08c969834619b4fda86ddd5e9e6fc65478','test-act-00179','{}','{"field": "b-number", "place": 2, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00180',180,'2026-06-01T09:15:50','person-of-test','enter','test-act-00001','dac926e18b89bcc37c10364433cd073fed405fe6ed615e9ba5a8a3eb9aae0b2a','test-act-00180','{}','{"field": "b-feel", "place": 1, "typed": "smooth"}');
INSERT INTO "act" VALUES('test-act-00181',181,'2026-06-01T09:15:55','person-of-test','enter','test-act-00001','dfa43b0b6cf5caf051afffff7a974e766908c5b8d15a83ca06bc4535ec20b637','test-act-00181','{}','{"field": "b-feel", "place": 2, "typed": "smooth"}');
INSERT INTO "act" VALUES('test-act-00182',182,'2026-06-01T09:16:00','person-of-test','enter','test-act-00001','c8f494e8439cc89d95b9315183a26ffdc4a5c5cd1f077b7f476e3d228e633ae2','test-act-00182','{}','{"field": "b-noise", "place": 1, "typed": "none"}');
INSERT INTO "act" VALUES('test-act-00183',183,'2026-06-01T09:16:05','person-of-test','enter','test-act-00001','00ed8509dd87872b5c802af607235603128c9fd7d7bb2700fa207428aae624b8','test-act-00183','{}','{"field": "b-noise", "place": 2, "typed": "none"}');
INSERT INTO "act" VALUES('test-act-00184',184,'2026-06-01T09:16:10','person-of-test','enter','test-act-00001','1a9714c1ecde134d84d92bb021c7570338370d16c6e174f5223479eaafe46294','test-act-00184','{}','{"field": "b-play", "place": 1, "typed": "none"}');
INSERT INTO "act" VALUES('test-act-00185',185,'2026-06-01T09:16:15','person-of-test','enter','test-act-00001','1adde7b42d394b70802adfd45625504c50c21f1752c8918733379e9dca1615be','test-act-00185','{}','{"field": "b-play", "place": 2, "typed": "none"}');
INSERT INTO "act" VALUES('test-act-00186',186,'2026-06-01T09:16:20','person-of-test','enter','test-act-00001','7695ba2e5b5c449e693f424d47b3dbc4b92d5b160aaed83cb517564e522ef0ca','test-act-00186','{}','{"field": "b-seal", "place": 1, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00187',187,'2026-06-01T09:16:25','person-of-test','enter','test-act-00001','b7dcda1d50343501329418c654bcdba2d84f5be741fae189696812779a6fc3f8','test-act-00187','{}','{"field": "b-seal", "place": 2, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00188',188,'2026-06-01T09:16:30','person-of-test','enter','test-act-00001','450868e0489945b737dbe19cd5a10a180807767907dac3cd5adfe2e118ccc1ff','test-act-00188','{}','{"field": "b-grease", "place": 1, "typed": "clean"}');
INSERT INTO "act" VALUES('test-act-00189',189,'2026-06-01T09:16:35','person-of-test','enter','test-act-00001','3f24212e7aa0eaf1013313c528b4eba19b397d9ba110e642b0b04164baa001ca','test-act-00189','{}','{"field": "b-grease", "place": 2, "typed": "clean"}');
INSERT INTO "act" VALUES('test-act-00190',190,'2026-06-01T09:16:40','person-of-test','enter','test-act-00001','a5a3062f833a79a24780db8c12ce697371908b947c2fa4d98add35d776980eaa','test-act-00190','{}','{"field": "b-seat", "place": 1, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00191',191,'2026-06-01T09:16:45','person-of-test','enter','test-act-00001','be3322bd55391811b5edf0713c1dfe26bbc00ad1cc8b3ec141a732481f7b71cc','test-act-00191','{}','{"field": "b-seat", "place": 2, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00192',192,'2026-06-01T09:16:50','person-of-test','enter','test-act-00001','0e2b622dd6fd4a0d35a8222f0faf1618bcf4a95e1dfe67276d411f4c68af6aa8','test-act-00192','{}','{"field": "b-hours", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00193',193,'2026-06-01T09:16:55','person-of-test','enter','test-act-00001','c58c6b12a4b47c30460e84e35cb406aa4546616a7af98706ad41e660c69abf63','test-act-00193','{}','{"field": "b-hours", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00194',194,'2026-06-01T09:17:00','person-of-test','enter','test-act-00001','7d06594753a45579c7aa306d87fe9c26c96fec6be165ac93a995d49bf8160662','test-act-00194','{}','{"field": "b-life", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00195',195,'2026-06-01T09:17:05','person-of-test','enter','test-act-00001','1b1a3608b62e8d4524edc1b886e5669c43eba470a201d9dbf6ae2179a9937996','test-act-00195','{}','{"field": "b-life", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00196',196,'2026-06-01T09:17:10','person-of-test','enter','test-act-00001','7e8c8c2eac9e53c87f0bd0b09e9410421726878c63360d6920f310d10e5123e0','test-act-00196','{}','{"field": "b-years", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00197',197,'2026-06-01T09:17:15','person-of-test','enter','test-act-00001','35d14f6c3fd04c5e6e866ddb566954318c7e2f9f6b27d088473d737e2ca29bd7','test-act-00197','{}','{"field": "b-years", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00198',198,'2026-06-01T09:17:20','person-of-test','enter','test-act-00001','bee936ad37bc3cef546eb1bcf696f22acb476c3448b8f8a9db7187ba754915d9','test-act-00198','{}','{"field": "journal", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00199',199,'2026-06-01T09:17:25','person-of-test','enter','test-act-00001','792966e270cb9faf7a26df55308296f651f5c26e83fced97d65f70245d28fec3','test-act-00199','{}','{"field": "journal", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00200',200,'2026-06-01T09:17:30','person-of-test','enter','test-act-00001','07a96bbbae61e8c3bf97f2b6f2f8a3416d65b8592311a691496947837f8d8c70','test-act-00200','{}','{"field": "bush", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00201',201,'2026-06-01T09:17:35','person-of-test','enter','test-act-00001','dfea57d4380e20a574f063f02872629b652e7e2cecec434dbeb14a7a0b15b6b9','test-act-00201','{}','{"field": "bush", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00202',202,'2026-06-01T09:17:40','person-of-test','enter','test-act-00001','b82641008bc08630d7d2b637e0b3649a95dbe35fcaa060d1ee8a81cf2f6e99e2','test-act-00202','{}','{"field": "bush-state", "place": 1, "typed": "oiled"}');
INSERT INTO "act" VALUES('test-act-00203',203,'2026-06-01T09:17:45','person-of-test','enter','test-act-00001','bb0f0ddcd5de88522fb2055a0c9f2c743738a6c23c9b4c06b8e61535a02381b4','test-act-00203','{}','{"field": "bush-state", "place": 2, "typed": "oiled"}');
INSERT INTO "act" VALUES('test-act-00204',204,'2026-06-01T09:17:50','person-of-test','enter','test-act-00001','e1ea9ed982f435a68e694d4ac81ffa45f80b7f9530df12ba2fb9750eb7d0140e','test-act-00204','{}','{"field": "kit-shaft", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00205',205,'2026-06-01T09:17:55','person-of-test','enter','test-act-00001','272b7dbe95475b10c45920222ca2e24b012b53e982c0fd951c40f0b2d3a9b704','test-act-00205','{}','{"field": "kit-shaft", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00206',206,'2026-06-01T09:18:00','person-of-test','enter','test-act-00001','a60ddcec449152ca0eb2990b36bce3e31c51eafa6b48f3a46eb428f7cb54dcd0','test-act-00206','{}','{"field": "kit-bore", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00207',207,'2026-06-01T09:18:05','person-of-test','enter','test-act-00001','2e7688c30859e5f65f882c3d3b62d8a70342e97bfdf2e09581a952c768591495','test-act-00207','{}','{"field": "kit-bore", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00208',208,'2026-06-01T09:18:10','person-of-test','enter','test-act-00001','5f2ec73c7af240e9f6a4d46a3874c6ec6f1c2546e76ea0c0e971db1a6240e752','test-act-00208','{}','{"field": "kit-housing", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00209',209,'2026-06-01T09:18:15','person-of-test','enter','test-act-00001','1292326869f8c4aef383618b604e7d4745f767ce7308fd514b4a13c50073921c','test-act-00209','{}','{"field": "kit-housing", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00210',210,'2026-06-01T09:18:20','person-of-test','enter','test-act-00001','1417c9440973101a0f344577c40edb67c2673dd105695d38435c56d72e551a17','test-act-00210','{}','{"field": "kit-outside", "place": 1, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00211',211,'2026-06-01T09:18:25','person-of-test','enter','test-act-00001','8458feb17299f573a1b803b2a7522f139b0751479317ff3879a215ab755deb65','test-act-00211','{}','{"field": "kit-outside", "place": 2, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00212',212,'2026-06-01T09:18:30','person-of-test','enter','test-act-00001','7503ca99d3b49103e35b0128da4fb8404cb1e50cea722a1b44e272c54d8b27c3','test-act-00212','{}','{"field": "end-float", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00213',213,'2026-06-01T09:18:35','person-of-test','enter','test-act-00001','43b42802304f0d54e5e43e9f01b9cd365bf32e446e010246c9359c5de638e5ae','test-act-00213','{}','{"field": "vibration", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00214',214,'2026-06-01T09:18:40','person-of-test','enter','test-act-00001','b8fd777a255e80b28403306bc5c7a23438b2d0397b08d69e31dc9d583c04d363','test-act-00214','{}','{"field": "ring-section", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00215',215,'2026-06-01T09:18:45','person-of-test','enter','test-act-00001','ce8fd2293e20737d5bf8791f7500e62809f4ace9073263ebf991522c5d333c9a','test-act-00215','{}','{"field": "ring-groove", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00216',216,'2026-06-01T09:18:50','person-of-test','enter','test-act-00001','227087fd1fdf1109dd8ab2267bd85f6b1a591432e054bdb2d711912b002ee8fa','test-act-00216','{}','{"field": "teeth", "place": 0, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00217',217,'2026-06-01T09:18:55','person-of-test','enter','test-act-00001','8fe70f1ac2a4fccb68e89500dc49ad24b372c2e4113756d31191ad040939e55b','test-act-00217','{}','{"field": "clutch", "place": 0, "typed": "right"}');
INSERT INTO "act" VALUES('test-act-00218',218,'2026-06-01T09:19:00','person-of-test','enter','test-act-00001','6f4ee45e49cea62abb0311b9abb2e8ebfd27cf6905ff9f55928fd57a50762d71','test-act-00218','{}','{"field": "belt", "place": 0, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00219',219,'2026-06-01T09:19:05','person-of-test','enter','test-act-00001','0ebfdd34d0aa10eecf705b30a9f9f8b36f4c39c51b43f9c75dd37f391dc97913','test-act-00219','{}','{"field": "cushions", "place": 0, "typed": "sound"}');
INSERT INTO "act" VALUES('test-act-00220',220,'2026-06-01T09:19:10','person-of-test','enter','test-act-00001','eac36ef77cc2b3760b43576a7f2a47895ec0f01d8c1cc4bc961f6729e123aff8','test-act-00220','{}','{"field": "remark.drive", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00221',221,'2026-06-01T09:19:15','person-of-test','enter','test-act-00001','18ce4f28a44962cc76bf1015012d6d31748be9592abe7e0a8217eb8db9d47b9b','test-act-00221','{}','{"field": "remark.decide", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00222',222,'2026-06-01T09:19:20','person-of-test','enter','test-act-00001','7d0f8138bacb4510cd1e87b8edf30cc636578d7f0b13f88ad27a61cae9147da2','test-act-00222','{}','{"field": "remark.rework", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00223',223,'2026-06-01T09:19:25','person-of-test','enter','test-act-00001','c9f8f7222aab270f6504ebf198003263ead236afaff22f04d4fa86f0daaafc7d','test-act-00223','{}','{"field": "latched", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00224',224,'2026-06-01T09:19:30','person-of-test','enter','test-act-00001','ceac7fd8f5e73a82b9ec4642255bc72fe3cd60cbb1b6531725b523a3d6a16cc2','test-act-00224','{}','{"field": "marks-met", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00225',225,'2026-06-01T09:19:35','person-of-test','enter','test-act-00001','09546119901133a78ada011a6321ccf99632e8c24424a8a6b504992fec5f55be','test-act-00225','{}','{"field": "free", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00226',226,'2026-06-01T09:19:40','person-of-test','enter','test-act-00001','1ecd5946d119eb3253b9b9a42e294b1e288e8b0cc928dceb0ae90946762762f1','test-act-00226','{}','{"field": "nothing-left", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00227',227,'2026-06-01T09:19:45','person-of-test','enter','test-act-00001','40c472d48e2e0817f6aa3e11a9dbd7871859f9d294e08ec27896f45edaca38dd','test-act-00227','{}','{"field": "torque-nm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00228',228,'2026-06-01T09:19:50','person-of-test','enter','test-act-00001','03d83477e329344d37ee88cee2f1d3a82d6944b7ccba269041a7c64f5ce94d51','test-act-00228','{}','{"field": "remark.close", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00229',229,'2026-06-01T09:19:55','person-of-test','enter','test-act-00001','53c31c5f2510b4414c05e9e65791a95c00ea4807df96bcea09ef2944ef15f944','test-act-00229','{}','{"field": "earth-ohm", "place": 0, "typed": "1.5"}');
INSERT INTO "act" VALUES('test-act-00230',230,'2026-06-01T09:20:00','person-of-test','enter','test-act-00001','15ee55f070596fab56875d677aaee6a48b3ee4d3188d25148d5c755a83c08b58','test-act-00230','{}','{"field": "remark.prove", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00231',231,'2026-06-01T09:20:05','person-of-test','enter','test-act-00001','c4b093aa4de968ee948766fc3d499fee12d4faa7ea258502d88a43dfa078375e','test-act-00231','{}','{"field": "parts", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00232',232,'2026-06-01T09:20:10','person-of-test','enter','test-act-00001','03155da48295f6c0e559c61a154e09c9ee8590d93bb2601d4d659baa6d55a860','test-act-00232','{}','{"field": "remark.sign", "place": 0, "typed": "as seen"}');
INSERT INTO "act" VALUES('test-act-00233',233,'2026-06-01T09:20:15','person-of-test','enter','test-act-00001','d54eb67696a4838104c20fe4c7f3f6736fb0fd83a44b867f2fbf758f3eed17e9','test-act-00233','{}','{"field": "permit.close", "place": 1, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00234',234,'2026-06-01T09:20:20','person-of-test','enter','test-act-00001','cf622430cb831d8e39f41c838119cf36a86b81d96a12b3113eb00277126ab631','test-act-00234','{}','{"field": "overrule.brushes", "place": 0, "typed": "watch", "why": "the scale is wrong"}');
INSERT INTO "act" VALUES('test-act-00235',235,'2026-06-01T09:20:25','person-of-test','enter','test-act-00001','531e16476539988af80fca270f34219cb2fc6ded38661eade4211b649f3b052a','test-act-00235','{}','{"field": "ruled-out.stuck", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00236',236,'2026-06-01T09:20:30','person-of-test','enter','test-act-00001','ef53f8941225f5c7e687a375c3dd964dc4d0e1239c0116599ef27a32ece6fe5a','test-act-00236','{}','{"field": "temporary", "place": 1, "typed": "tied up", "who": "Bram", "day": "2026-06-10"}');
INSERT INTO "act" VALUES('test-act-00237',237,'2026-06-01T09:20:35','person-of-test','enter','test-act-00001','7c154acea3d98f549a7217f6d02a5c8c207b30e028a7d45319fb60a009785dff','test-act-00237','{}','{"field": "decide.lead.taut", "place": 1, "typed": "deferred", "who": "Bram", "day": "2026-06-10"}');
INSERT INTO "act" VALUES('test-act-00238',238,'2026-06-01T09:20:40','person-of-test','enter','test-act-00001','7a2ee8dba5fbf3016545af500fd42f98a41bea6f40d9c38ec4bf03e93de90bf9','test-act-00238','{}','{"field": "decide.terminal.poor", "place": 1, "typed": "dropped", "why": "it was dust"}');
INSERT INTO "act" VALUES('test-act-00239',239,'2026-06-01T09:20:45','person-of-test','enter','test-act-00001','39eead585643ae619033d7359a884ef57654de9f30118364b2745d578d2f8b9f','test-act-00239','{}','{"field": "decide.brush.sticky", "place": 1, "typed": "done"}');
INSERT INTO "act" VALUES('test-act-00240',240,'2026-06-01T09:20:50','person-of-test','enter','test-act-00001','6a606c07b19ee32f8cd159bdc9d5bee094f1a45500ace8bdd095a638dbe00a5d','test-act-00240','{}','{"field": "decide.windings.burnt", "place": 0, "typed": "deferred", "who": "Bram", "day": "2026-06-10"}');
INSERT INTO "act" VALUES('test-act-00241',241,'2026-06-01T09:20:55','person-of-test','enter','test-act-00001','ae9023836b08ed6300fc0a654d483da9fac3dc50acf6b3b9205bcac2755b99ad','test-act-00241','{}','{"field": "next-look", "place": 0, "typed": "2026-06-10"}');
INSERT INTO "act" VALUES('test-act-00242',242,'2026-06-01T09:21:00','person-of-test','enter','test-act-00001','adcc3b8ca2417ba599bc054b606ab7eca3180978bc07ab944cdc00f00ed221c4','test-act-00242','{}','{"field": "skip.rework", "place": 0, "typed": "no time"}');
INSERT INTO "act" VALUES('test-act-00243',243,'2026-06-01T09:26:00','person-of-test','sign a sheet','test-act-00001','505c0132299a6aba05f49a6a69ac95ab9e627f86a023f1c4ef81d97157a90830','test-act-00001','{}','{"sheet": 1, "clean": false, "why": "signed with everything open", "outcome": ""}');
INSERT INTO "act" VALUES('test-act-00244',244,'2026-06-01T09:31:00','person-of-test','add to a sheet','test-act-00001','3321a668b1e2d9f9cb4a6428f1f2ff3a06544203ca783a211259e77b58e23aea','test-act-00002','{}','{"sheet": 1, "added": "and something more"}');
INSERT INTO "act" VALUES('test-act-00245',245,'2026-06-21T09:31:00','person-of-test','open a sheet','test-act-00001','43ccb9b49f442af5d839af22444948ca10abe3f629eb57dd77f81a37cd4d81ed','test-act-00245','{}','{"set": 1, "kind": "check", "counter": 100.0, "total": 100.0, "sheet": 2, "look": "full"}');
INSERT INTO "act" VALUES('test-act-00246',246,'2026-06-21T09:31:05','person-of-test','enter','test-act-00001','b79e303cd710412cacbfdc2f2aae3c1b86b6ed6107a30feb39ee0d28843e1ecb','test-act-00246','{}','{"field": "confirm.power", "place": 0, "typed": "yes"}');
INSERT INTO "act" VALUES('test-act-00247',247,'2026-06-21T09:31:10','person-of-test','enter','test-act-00001','0b79b44e1f1d56ff2b39b9593ca1f78be4325a7d0bf0904d2184ef49d5a55faa','test-act-00247','{}','{"field": "waive.safe", "place": 0, "typed": "in parts"}');
INSERT INTO "act" VALUES('test-act-00248',248,'2026-06-21T09:31:15','person-of-test','enter','test-act-00001','b3d60d533954e5f05c226c7c3dba8d857c7b05677584615697dc82f8d5a2f10b','test-act-00248','{}','{"field": "run-out", "place": 0, "typed": "0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.05"}');
INSERT INTO "act" VALUES('test-act-00249',249,'2026-06-21T09:31:20','person-of-test','enter','test-act-00001','268e034fe63f2337a4f7ca49803482f79bc9c745355a41104e5dad3b5edec6c7','test-act-00249','{}','{"field": "bar-map", "place": 0, "typed": "burnt 3, 26; dark 40-44"}');
INSERT INTO "act" VALUES('test-act-00250',250,'2026-06-21T09:31:25','person-of-test','enter','test-act-00001','f2502e630d3f1e1aca6b556f6c727ab790a6f9dccd3ddd9e2f32cfaec9d7e52d','test-act-00250','{}','{"field": "track-d", "place": 0, "typed": "56.2; 56.1"}');
INSERT INTO "act" VALUES('test-act-00251',251,'2026-06-21T09:31:30','person-of-test','enter','test-act-00001','55cf96e4b35f9109091e4ae068fe32b087f07495f569fed00bed13d88e4e862b','test-act-00251','{}','{"field": "insulation-mohm", "place": 0, "typed": "80"}');
INSERT INTO "act" VALUES('test-act-00252',252,'2026-06-21T09:31:35','person-of-test','enter','test-act-00001','8e475bf2bd1dce2c0fb1bb9eba7fc4d5605a3d383dcfe89eb55b8187001ab994','test-act-00252','{}','{"field": "complaint", "place": 0, "typed": "loud again"}');
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
INSERT INTO "brush_set" VALUES('test-act-00001.set','test-act-00001',1,'2026-06-01T09:00:00',100.0,1,NULL,NULL,NULL,'test-act-00001');
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
INSERT INTO "deferred" VALUES('test-act-00243.0','test-act-00001','test-act-00002',1,'lead.taut','Brush A: lead taut, the brush hangs on it; renew, whatever the length says','Bram','2026-06-10',NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.1','test-act-00001','test-act-00002',0,'commutator.raised','Commutator: a raised or loose bar; not to be run: it tears the brushes and may fly','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.2','test-act-00001','test-act-00002',0,'commutator.riser','Commutator: a riser broken or unsoldered; not to be run: re-solder it or send the armature out','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.3','test-act-00001','test-act-00002',0,'commutator.open','Commutator: one bar high in the bar test; not to be run, open coil: re-solder the riser if that is all, else renew the armature','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.4','test-act-00001','test-act-00002',0,'commutator.short','Commutator: one bar low in the bar test; not to be run, shorted turns: renew or rewind the armature','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.5','test-act-00001','test-act-00002',0,'windings.burnt','Windings and magnets: burnt, melted or smelling; armature or coil is out: renew or rewind it','Bram','2026-06-10',NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.6','test-act-00001','test-act-00002',0,'windings.earth','Windings and magnets: earth fault; no power; clean and dry, test again before it is condemned','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.7','test-act-00001','test-act-00002',0,'windings.binding','Windings and magnets: a binding or wedge of the armature lifted; it flies: not to be turned under power, re-band or re-wedge it, or renew the armature','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.8','test-act-00001','test-act-00002',0,'windings.broken','Windings and magnets: a wire of a winding broken; re-join it if both ends can be reached, else rewind','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.9','test-act-00001','test-act-00002',0,'magnets.cracked','Windings and magnets: a magnet cracked, crumbling or loose; out of service: fragments jam the gap','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.10','test-act-00001','test-act-00002',0,'bearing.locked','Bearings and drive: a bearing locked; renew it before the motor turns again','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.11','test-act-00001','test-act-00002',0,'drive.shaft','Bearings and drive: shaft bent; renew or straighten the shaft before it turns under power','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.12','test-act-00001','test-act-00002',0,'drive.jammed','Bearings and drive: gear, pinion or clutch jammed; free or renew it before power','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.13','test-act-00001','test-act-00002',0,'earth.open','Windings and magnets: protective earth too high; no power until the earth is joined again','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.14','test-act-00001','test-act-00002',0,'copper.under','Commutator: 56.50 mm after the cut, under its least of 57.90 mm; renew it or send the armature out','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.15','test-act-00001','test-act-00002',0,'commutator.burnt','Commutator: bars burnt; measure run-out, make the bar test, plan a cut','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.16','test-act-00001','test-act-00002',0,'commutator.flashover','Commutator: marks of a flashover; clean off every bridge, test bar to bar and to earth, find what flashed: neutral, overload, dust','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.17','test-act-00001','test-act-00002',0,'windings.loose','Windings and magnets: turns loose or rubbed; secure and varnish, or renew','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.18','test-act-00001','test-act-00002',0,'windings.field','Windings and magnets: field coils differ; renew the odd coil','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.19','test-act-00001','test-act-00002',0,'windings.core','Windings and magnets: core of armature or pole rubbed; find why it rubbed: bearing, shaft, pole; test for shorts, varnish bared steel','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.20','test-act-00001','test-act-00002',0,'windings.poles','Windings and magnets: bolts of a pole loose; set the pole and tighten it, measure the air gap all round','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.21','test-act-00001','test-act-00002',0,'windings.interpole','Windings and magnets: an interpole hot or coloured by heat; check its joints, its turns and its polarity','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.22','test-act-00001','test-act-00002',0,'bearing.rough','Bearings and drive: a bearing rough or notchy; renew it, check shaft and seat','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.23','test-act-00001','test-act-00002',0,'bearing.loose','Bearings and drive: clear play, or spun in its seat; renew it, measure shaft and seat first','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.24','test-act-00001','test-act-00002',0,'bearing.dry','Bearings and drive: a rolling bearing dry; renew it: oil does not bring it back','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.25','test-act-00001','test-act-00002',0,'drive.keyway','Bearings and drive: keyway worn; renew key and keyway, or the shaft','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.26','test-act-00001','test-act-00002',0,'drive.fan','Bearings and drive: fan cracked or blades missing; renew it: it flies apart, and without it the motor burns','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.27','test-act-00001','test-act-00002',0,'drive.washer','Bearings and drive: a fibre or thrust washer or a wave spring broken or lost; fit the right one before it is closed: it holds the end float','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.28','test-act-00001','test-act-00002',1,'spring.far-off','Brush A: spring force over a fifth off; renew the springs as a set now','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.29','test-act-00001','test-act-00002',2,'spring.far-off','Brush B: spring force over a fifth off; renew the springs as a set now','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.30','test-act-00001','test-act-00002',1,'gap.narrow','Brush A: holder gap too narrow; set the holder back before it touches the copper','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.31','test-act-00001','test-act-00002',2,'gap.narrow','Brush B: holder gap too narrow; set the holder back before it touches the copper','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.32','test-act-00001','test-act-00002',0,'insulation.again','Windings and magnets: from bar 2 to the shaft: only 1.5 °C: test again warm; insulation 1.5 MΩ, only 1.5 °C: test again warm; test it again before power, warm and dry, with all parted that leads to the case','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.33','test-act-00001','test-act-00002',0,'windings.short','Windings and magnets: field coils: coils 2 (+6.7%) and 3 (-6.7%) off the median: shorted turns if low, a poor joint if high; shorted turns if low, a poor joint if high: renew or re-solder','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.34','test-act-00001','test-act-00002',0,'commutator.black','Commutator: black all over; clean it and its slots, then look for the cause','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.35','test-act-00001','test-act-00002',0,'commutator.rough','Commutator: rough, grooved or pitted; measure it and plan a cut within its least diameter','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.36','test-act-00001','test-act-00002',0,'commutator.mica','Commutator: mica level with the copper, or high; undercut it','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.37','test-act-00001','test-act-00002',0,'bush.dry','Bearings and drive: a plain bush dry; oil it: sintered, wick, cup or ring','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.38','test-act-00001','test-act-00002',0,'bearing.seal','Bearings and drive: a seal hard or torn; renew it, no silicone near brushes','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.39','test-act-00001','test-act-00002',0,'drive.worn','Bearings and drive: gear, pinion or coupling worn; renew it with its mate checked','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.40','test-act-00001','test-act-00002',0,'drive.belt','Bearings and drive: belt off, slack or glazed; put it on, tension or renew it before the motor is blamed','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.41','test-act-00001','test-act-00002',1,'clearance.tight','Brush A: brush tight in its box; dress it on a flat plate or fit the right part; never file the box','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.42','test-act-00001','test-act-00002',2,'clearance.tight','Brush B: brush tight in its box; dress it on a flat plate or fit the right part; never file the box','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.43','test-act-00001','test-act-00002',0,'terminal.measured','Springs, leads, terminals: terminal drops or resists too much; clean to metal, retension, test again: this alone can stop a motor','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.44','test-act-00001','test-act-00002',0,'gap.cut','Holders: holders not set since the cut: the brush sinks by 0.250 mm; set them: the brush sinks and the spring must reach further','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.45','test-act-00001','test-act-00002',0,'face.cut','Brushes: faces shaped to 28.50 mm, the radius is 28.25 mm now; give them the new curve and seat them','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.46','test-act-00001','test-act-00002',0,'polarization.low','Windings and magnets: polarization index 1.00, damp or dirty: clean, dry, test again; damp or dirty: clean, dry, test again','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.47','test-act-00001','test-act-00002',0,'ring.squeeze','Bearings and drive: O-ring squeezed by 0%; take the right section','',NULL,NULL,'test-act-00243');
INSERT INTO "deferred" VALUES('test-act-00243.t1','test-act-00001','test-act-00002',0,'','temporary repair: tied up','Bram','2026-06-10',NULL,'test-act-00243');
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
INSERT INTO "entry" VALUES('test-act-00003','test-act-00002','waive.safe',0,'shown in a test','shown in a test',NULL,'{}',NULL,'test-act-00003');
INSERT INTO "entry" VALUES('test-act-00004','test-act-00002','waive.power',0,'shown in a test','shown in a test',NULL,'{}',NULL,'test-act-00004');
INSERT INTO "entry" VALUES('test-act-00005','test-act-00002','waive.service',0,'shown in a test','shown in a test',NULL,'{}',NULL,'test-act-00005');
INSERT INTO "entry" VALUES('test-act-00006','test-act-00002','permit.open',1,'volts','volts',NULL,'{"who": "Ines", "barriers": "rope", "minutes": "30"}',NULL,'test-act-00006');
INSERT INTO "entry" VALUES('test-act-00013','test-act-00002','bump',0,'right','right',NULL,'{}',NULL,'test-act-00013');
INSERT INTO "entry" VALUES('test-act-00014','test-act-00002','run-v',0,'1.5','',1.5,'{}',NULL,'test-act-00014');
INSERT INTO "entry" VALUES('test-act-00015','test-act-00002','run-a',0,'1.5','',1.5,'{}',NULL,'test-act-00015');
INSERT INTO "entry" VALUES('test-act-00016','test-act-00002','run-rpm',0,'1.5','',1.5,'{}',NULL,'test-act-00016');
INSERT INTO "entry" VALUES('test-act-00017','test-act-00002','sparks',0,'0','0',NULL,'{}',NULL,'test-act-00017');
INSERT INTO "entry" VALUES('test-act-00018','test-act-00002','complaint',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00018');
INSERT INTO "entry" VALUES('test-act-00019','test-act-00002','last-work',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00019');
INSERT INTO "entry" VALUES('test-act-00020','test-act-00002','urgency',0,'now','now',NULL,'{}',NULL,'test-act-00020');
INSERT INTO "entry" VALUES('test-act-00021','test-act-00002','sign.start',0,'dead','dead',NULL,'{}',NULL,'test-act-00021');
INSERT INTO "entry" VALUES('test-act-00022','test-act-00002','sign.tapped',0,'yes','yes',NULL,'{}',NULL,'test-act-00022');
INSERT INTO "entry" VALUES('test-act-00023','test-act-00002','sign.dead-spot',0,'yes','yes',NULL,'{}',NULL,'test-act-00023');
INSERT INTO "entry" VALUES('test-act-00024','test-act-00002','sign.weak',0,'yes','yes',NULL,'{}',NULL,'test-act-00024');
INSERT INTO "entry" VALUES('test-act-00025','test-act-00002','sign.hunts',0,'yes','yes',NULL,'{}',NULL,'test-act-00025');
INSERT INTO "entry" VALUES('test-act-00026','test-act-00002','sign.too-fast',0,'yes','yes',NULL,'{}',NULL,'test-act-00026');
INSERT INTO "entry" VALUES('test-act-00027','test-act-00002','sign.backwards',0,'yes','yes',NULL,'{}',NULL,'test-act-00027');
INSERT INTO "entry" VALUES('test-act-00028','test-act-00002','sign.by-direction',0,'yes','yes',NULL,'{}',NULL,'test-act-00028');
INSERT INTO "entry" VALUES('test-act-00029','test-act-00002','sign.slow-start',0,'yes','yes',NULL,'{}',NULL,'test-act-00029');
INSERT INTO "entry" VALUES('test-act-00030','test-act-00002','sign.loud',0,'yes','yes',NULL,'{}',NULL,'test-act-00030');
INSERT INTO "entry" VALUES('test-act-00031','test-act-00002','sign.new-noise',0,'yes','yes',NULL,'{}',NULL,'test-act-00031');
INSERT INTO "entry" VALUES('test-act-00032','test-act-00002','sign.crackles',0,'yes','yes',NULL,'{}',NULL,'test-act-00032');
INSERT INTO "entry" VALUES('test-act-00033','test-act-00002','sign.sparks',0,'little','little',NULL,'{}',NULL,'test-act-00033');
INSERT INTO "entry" VALUES('test-act-00034','test-act-00002','sign.gear-work',0,'yes','yes',NULL,'{}',NULL,'test-act-00034');
INSERT INTO "entry" VALUES('test-act-00035','test-act-00002','sign.wears-fast',0,'yes','yes',NULL,'{}',NULL,'test-act-00035');
INSERT INTO "entry" VALUES('test-act-00036','test-act-00002','sign.shakes',0,'yes','yes',NULL,'{}',NULL,'test-act-00036');
INSERT INTO "entry" VALUES('test-act-00037','test-act-00002','sign.belt-stands',0,'yes','yes',NULL,'{}',NULL,'test-act-00037');
INSERT INTO "entry" VALUES('test-act-00038','test-act-00002','sign.stays-on',0,'yes','yes',NULL,'{}',NULL,'test-act-00038');
INSERT INTO "entry" VALUES('test-act-00039','test-act-00002','sign.smell',0,'yes','yes',NULL,'{}',NULL,'test-act-00039');
INSERT INTO "entry" VALUES('test-act-00040','test-act-00002','sign.smoke',0,'yes','yes',NULL,'{}',NULL,'test-act-00040');
INSERT INTO "entry" VALUES('test-act-00041','test-act-00002','sign.trips',0,'yes','yes',NULL,'{}',NULL,'test-act-00041');
INSERT INTO "entry" VALUES('test-act-00042','test-act-00002','sign.code',0,'yes','yes',NULL,'{}',NULL,'test-act-00042');
INSERT INTO "entry" VALUES('test-act-00043','test-act-00002','sign.hot',0,'yes','yes',NULL,'{}',NULL,'test-act-00043');
INSERT INTO "entry" VALUES('test-act-00044','test-act-00002','sign.stops-hot',0,'yes','yes',NULL,'{}',NULL,'test-act-00044');
INSERT INTO "entry" VALUES('test-act-00045','test-act-00002','sign.cold',0,'yes','yes',NULL,'{}',NULL,'test-act-00045');
INSERT INTO "entry" VALUES('test-act-00046','test-act-00002','sign.damp',0,'yes','yes',NULL,'{}',NULL,'test-act-00046');
INSERT INTO "entry" VALUES('test-act-00047','test-act-00002','sign.idle',0,'yes','yes',NULL,'{}',NULL,'test-act-00047');
INSERT INTO "entry" VALUES('test-act-00048','test-act-00002','sign.water',0,'yes','yes',NULL,'{}',NULL,'test-act-00048');
INSERT INTO "entry" VALUES('test-act-00049','test-act-00002','sign.brush-change',0,'yes','yes',NULL,'{}',NULL,'test-act-00049');
INSERT INTO "entry" VALUES('test-act-00050','test-act-00002','sign.hums',0,'yes','yes',NULL,'{}',NULL,'test-act-00050');
INSERT INTO "entry" VALUES('test-act-00051','test-act-00002','sign.onset',0,'sudden','sudden',NULL,'{}',NULL,'test-act-00051');
INSERT INTO "entry" VALUES('test-act-00052','test-act-00002','remark.call-in',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00052');
INSERT INTO "entry" VALUES('test-act-00053','test-act-00002','safe.method',0,'unplugged','unplugged',NULL,'{}',NULL,'test-act-00053');
INSERT INTO "entry" VALUES('test-act-00054','test-act-00002','remark.safe',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00054');
INSERT INTO "entry" VALUES('test-act-00055','test-act-00002','sign.volts',0,'right','right',NULL,'{}',NULL,'test-act-00055');
INSERT INTO "entry" VALUES('test-act-00056','test-act-00002','sign.joint',0,'yes','yes',NULL,'{}',NULL,'test-act-00056');
INSERT INTO "entry" VALUES('test-act-00057','test-act-00002','sign.taps',0,'one','one',NULL,'{}',NULL,'test-act-00057');
INSERT INTO "entry" VALUES('test-act-00058','test-act-00002','sign.ohms',0,'infinite','infinite',NULL,'{}',NULL,'test-act-00058');
INSERT INTO "entry" VALUES('test-act-00059','test-act-00002','sign.ohms-all',0,'yes','yes',NULL,'{}',NULL,'test-act-00059');
INSERT INTO "entry" VALUES('test-act-00060','test-act-00002','sign.amps',0,'none','none',NULL,'{}',NULL,'test-act-00060');
INSERT INTO "entry" VALUES('test-act-00061','test-act-00002','sign.by-hand',0,'rough','rough',NULL,'{}',NULL,'test-act-00061');
INSERT INTO "entry" VALUES('test-act-00062','test-act-00002','sign.coasting',0,'stays','stays',NULL,'{}',NULL,'test-act-00062');
INSERT INTO "entry" VALUES('test-act-00063','test-act-00002','sign.cutout-open',0,'yes','yes',NULL,'{}',NULL,'test-act-00063');
INSERT INTO "entry" VALUES('test-act-00064','test-act-00002','supply-v',0,'1.5','',1.5,'{}',NULL,'test-act-00064');
INSERT INTO "entry" VALUES('test-act-00065','test-act-00002','tap-v',1,'1.5','',1.5,'{}',NULL,'test-act-00065');
INSERT INTO "entry" VALUES('test-act-00066','test-act-00002','tap-v',2,'1.5','',1.5,'{}',NULL,'test-act-00066');
INSERT INTO "entry" VALUES('test-act-00067','test-act-00002','joint-v',0,'1.5','',1.5,'{}',NULL,'test-act-00067');
INSERT INTO "entry" VALUES('test-act-00068','test-act-00002','terminal-ohm',0,'1.5','',1.5,'{}',NULL,'test-act-00068');
INSERT INTO "entry" VALUES('test-act-00069','test-act-00002','terminal-step',0,'0.01','',0.01,'{}',NULL,'test-act-00069');
INSERT INTO "entry" VALUES('test-act-00070','test-act-00002','terminal-v',0,'1.5','',1.5,'{}',NULL,'test-act-00070');
INSERT INTO "entry" VALUES('test-act-00071','test-act-00002','remark.before',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00071');
INSERT INTO "entry" VALUES('test-act-00072','test-act-00002','state',0,'opened','opened',NULL,'{}',NULL,'test-act-00072');
INSERT INTO "entry" VALUES('test-act-00073','test-act-00002','marks',0,'yes','yes',NULL,'{}',NULL,'test-act-00073');
INSERT INTO "entry" VALUES('test-act-00074','test-act-00002','photos',0,'yes','yes',NULL,'{}',NULL,'test-act-00074');
INSERT INTO "entry" VALUES('test-act-00075','test-act-00002','wires',0,'yes','yes',NULL,'{}',NULL,'test-act-00075');
INSERT INTO "entry" VALUES('test-act-00076','test-act-00002','stack',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00076');
INSERT INTO "entry" VALUES('test-act-00077','test-act-00002','mind',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00077');
INSERT INTO "entry" VALUES('test-act-00078','test-act-00002','remark.open',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00078');
INSERT INTO "entry" VALUES('test-act-00079','test-act-00002','force',1,'1.5','',1.5,'{}',NULL,'test-act-00079');
INSERT INTO "entry" VALUES('test-act-00080','test-act-00002','force',2,'1.5','',1.5,'{}',NULL,'test-act-00080');
INSERT INTO "entry" VALUES('test-act-00081','test-act-00002','gap',1,'1.5','',1.5,'{}',NULL,'test-act-00081');
INSERT INTO "entry" VALUES('test-act-00082','test-act-00002','gap',2,'1.5','',1.5,'{}',NULL,'test-act-00082');
INSERT INTO "entry" VALUES('test-act-00083','test-act-00002','box-t',1,'1.5','',1.5,'{}',NULL,'test-act-00083');
INSERT INTO "entry" VALUES('test-act-00084','test-act-00002','box-t',2,'1.5','',1.5,'{}',NULL,'test-act-00084');
INSERT INTO "entry" VALUES('test-act-00085','test-act-00002','brush-t',1,'1.5','',1.5,'{}',NULL,'test-act-00085');
INSERT INTO "entry" VALUES('test-act-00086','test-act-00002','brush-t',2,'1.5','',1.5,'{}',NULL,'test-act-00086');
INSERT INTO "entry" VALUES('test-act-00087','test-act-00002','box-a',1,'1.5','',1.5,'{}',NULL,'test-act-00087');
INSERT INTO "entry" VALUES('test-act-00088','test-act-00002','box-a',2,'1.5','',1.5,'{}',NULL,'test-act-00088');
INSERT INTO "entry" VALUES('test-act-00089','test-act-00002','brush-a',1,'1.5','',1.5,'{}',NULL,'test-act-00089');
INSERT INTO "entry" VALUES('test-act-00090','test-act-00002','brush-a',2,'1.5','',1.5,'{}',NULL,'test-act-00090');
INSERT INTO "entry" VALUES('test-act-00091','test-act-00002','dust-g',0,'1.5','',1.5,'{}',NULL,'test-act-00091');
INSERT INTO "entry" VALUES('test-act-00092','test-act-00002','remark.brushes',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00092');
INSERT INTO "entry" VALUES('test-act-00093','test-act-00002','seen.commutator.black',0,'yes','yes',NULL,'{}',NULL,'test-act-00093');
INSERT INTO "entry" VALUES('test-act-00094','test-act-00002','seen.commutator.two-bars',0,'yes','yes',NULL,'{}',NULL,'test-act-00094');
INSERT INTO "entry" VALUES('test-act-00095','test-act-00002','seen.commutator.burnt',0,'yes','yes',NULL,'{}',NULL,'test-act-00095');
INSERT INTO "entry" VALUES('test-act-00096','test-act-00002','seen.commutator.rough',0,'yes','yes',NULL,'{}',NULL,'test-act-00096');
INSERT INTO "entry" VALUES('test-act-00097','test-act-00002','seen.commutator.raised',0,'yes','yes',NULL,'{}',NULL,'test-act-00097');
INSERT INTO "entry" VALUES('test-act-00098','test-act-00002','seen.commutator.mica',0,'yes','yes',NULL,'{}',NULL,'test-act-00098');
INSERT INTO "entry" VALUES('test-act-00099','test-act-00002','seen.commutator.slots',0,'yes','yes',NULL,'{}',NULL,'test-act-00099');
INSERT INTO "entry" VALUES('test-act-00100','test-act-00002','seen.commutator.riser',0,'yes','yes',NULL,'{}',NULL,'test-act-00100');
INSERT INTO "entry" VALUES('test-act-00101','test-act-00002','seen.commutator.flashover',0,'yes','yes',NULL,'{}',NULL,'test-act-00101');
INSERT INTO "entry" VALUES('test-act-00102','test-act-00002','seen.commutator.open',0,'yes','yes',NULL,'{}',NULL,'test-act-00102');
INSERT INTO "entry" VALUES('test-act-00103','test-act-00002','seen.commutator.short',0,'yes','yes',NULL,'{}',NULL,'test-act-00103');
INSERT INTO "entry" VALUES('test-act-00104','test-act-00002','sound.commutator',0,'yes','yes',NULL,'{}',NULL,'test-act-00104');
INSERT INTO "entry" VALUES('test-act-00105','test-act-00002','track-d',0,'57.1
57','57.1;57',NULL,'{}',NULL,'test-act-00105');
INSERT INTO "entry" VALUES('test-act-00106','test-act-00002','shoulder-d',0,'60','',60.0,'{}',NULL,'test-act-00106');
INSERT INTO "entry" VALUES('test-act-00107','test-act-00002','groove',0,'1.5','',1.5,'{}',NULL,'test-act-00107');
INSERT INTO "entry" VALUES('test-act-00108','test-act-00002','pit',0,'1.5','',1.5,'{}',NULL,'test-act-00108');
INSERT INTO "entry" VALUES('test-act-00109','test-act-00002','step',0,'1.5','',1.5,'{}',NULL,'test-act-00109');
INSERT INTO "entry" VALUES('test-act-00110','test-act-00002','slot-depth',0,'1.5','',1.5,'{}',NULL,'test-act-00110');
INSERT INTO "entry" VALUES('test-act-00111','test-act-00002','bar-map',0,'even 1-44; burnt 7, 30; loose 45','even 1-44; burnt 7, 30; loose 45',NULL,'{}',NULL,'test-act-00111');
INSERT INTO "entry" VALUES('test-act-00112','test-act-00002','run-out',0,'0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024','0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024',NULL,'{}',NULL,'test-act-00112');
INSERT INTO "entry" VALUES('test-act-00113','test-act-00002','run-out-on',0,'seats','seats',NULL,'{}',NULL,'test-act-00113');
INSERT INTO "entry" VALUES('test-act-00114','test-act-00002','run-out-step',0,'0.001','',0.001,'{}',NULL,'test-act-00114');
INSERT INTO "entry" VALUES('test-act-00115','test-act-00002','bar-test',0,'0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024
0.020
0.021
0.022
0.023
0.024','0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024;0.02;0.021;0.022;0.023;0.024',NULL,'{}',NULL,'test-act-00115');
INSERT INTO "entry" VALUES('test-act-00116','test-act-00002','bar-test-how',0,'resistance','resistance',NULL,'{}',NULL,'test-act-00116');
INSERT INTO "entry" VALUES('test-act-00117','test-act-00002','bar-test-fed',0,'bars','bars',NULL,'{}',NULL,'test-act-00117');
INSERT INTO "entry" VALUES('test-act-00118','test-act-00002','bar-test-lifted',0,'yes','yes',NULL,'{}',NULL,'test-act-00118');
INSERT INTO "entry" VALUES('test-act-00119','test-act-00002','bar-test-noise',0,'2 %','',0.02,'{}',NULL,'test-act-00119');
INSERT INTO "entry" VALUES('test-act-00120','test-act-00002','bar-shaft',0,'1.5','',1.5,'{}',NULL,'test-act-00120');
INSERT INTO "entry" VALUES('test-act-00121','test-act-00002','bar-shaft-bar',0,'1.5','',1.5,'{}',NULL,'test-act-00121');
INSERT INTO "entry" VALUES('test-act-00122','test-act-00002','cut-tool',0,'hss','hss',NULL,'{}',NULL,'test-act-00122');
INSERT INTO "entry" VALUES('test-act-00123','test-act-00002','lathe-speeds',0,'1.5
1.6
-
1.4','1.5;1.6;-;1.4',NULL,'{}',NULL,'test-act-00123');
INSERT INTO "entry" VALUES('test-act-00124','test-act-00002','rough-cut',0,'0.1','',0.1,'{}',NULL,'test-act-00124');
INSERT INTO "entry" VALUES('test-act-00125','test-act-00002','pit-left',0,'1.5','',1.5,'{}',NULL,'test-act-00125');
INSERT INTO "entry" VALUES('test-act-00126','test-act-00002','true-setup',0,'yes','yes',NULL,'{}',NULL,'test-act-00126');
INSERT INTO "entry" VALUES('test-act-00127','test-act-00002','cut-done',0,'56.5','',56.5,'{"radial": "1.75", "sunk": "0.25", "before": "57", "after": "56.5", "least": "57.9", "slot": "1.5"}',NULL,'test-act-00127');
INSERT INTO "entry" VALUES('test-act-00128','test-act-00002','cut-slots',0,'yes','yes',NULL,'{}',NULL,'test-act-00128');
INSERT INTO "entry" VALUES('test-act-00129','test-act-00002','cut-chamfer',0,'yes','yes',NULL,'{}',NULL,'test-act-00129');
INSERT INTO "entry" VALUES('test-act-00130','test-act-00002','cut-again',0,'yes','yes',NULL,'{}',NULL,'test-act-00130');
INSERT INTO "entry" VALUES('test-act-00131','test-act-00002','cut-vacuumed',0,'yes','yes',NULL,'{}',NULL,'test-act-00131');
INSERT INTO "entry" VALUES('test-act-00132','test-act-00002','slot-minutes',0,'1.5','',1.5,'{"estimated": "45"}',NULL,'test-act-00132');
INSERT INTO "entry" VALUES('test-act-00133','test-act-00002','surface-with',0,'stone','stone',NULL,'{}',NULL,'test-act-00133');
INSERT INTO "entry" VALUES('test-act-00134','test-act-00002','remark.commutator',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00134');
INSERT INTO "entry" VALUES('test-act-00135','test-act-00002','seen.windings.burnt',0,'yes','yes',NULL,'{}',NULL,'test-act-00135');
INSERT INTO "entry" VALUES('test-act-00136','test-act-00002','seen.windings.loose',0,'yes','yes',NULL,'{}',NULL,'test-act-00136');
INSERT INTO "entry" VALUES('test-act-00137','test-act-00002','seen.windings.earth',0,'yes','yes',NULL,'{}',NULL,'test-act-00137');
INSERT INTO "entry" VALUES('test-act-00138','test-act-00002','seen.windings.field',0,'yes','yes',NULL,'{}',NULL,'test-act-00138');
INSERT INTO "entry" VALUES('test-act-00139','test-act-00002','seen.windings.binding',0,'yes','yes',NULL,'{}',NULL,'test-act-00139');
INSERT INTO "entry" VALUES('test-act-00140','test-act-00002','seen.windings.broken',0,'yes','yes',NULL,'{}',NULL,'test-act-00140');
INSERT INTO "entry" VALUES('test-act-00141','test-act-00002','seen.windings.core',0,'yes','yes',NULL,'{}',NULL,'test-act-00141');
INSERT INTO "entry" VALUES('test-act-00142','test-act-00002','seen.windings.poles',0,'yes','yes',NULL,'{}',NULL,'test-act-00142');
INSERT INTO "entry" VALUES('test-act-00143','test-act-00002','seen.windings.interpole',0,'yes','yes',NULL,'{}',NULL,'test-act-00143');
INSERT INTO "entry" VALUES('test-act-00144','test-act-00002','seen.windings.dust',0,'yes','yes',NULL,'{}',NULL,'test-act-00144');
INSERT INTO "entry" VALUES('test-act-00145','test-act-00002','seen.magnets.cracked',0,'yes','yes',NULL,'{}',NULL,'test-act-00145');
INSERT INTO "entry" VALUES('test-act-00146','test-act-00002','sound.windings',0,'yes','yes',NULL,'{}',NULL,'test-act-00146');
INSERT INTO "entry" VALUES('test-act-00147','test-act-00002','parted-capacitors',0,'yes','yes',NULL,'{}',NULL,'test-act-00147');
INSERT INTO "entry" VALUES('test-act-00148','test-act-00002','insulation-of',0,'whole','whole',NULL,'{}',NULL,'test-act-00148');
INSERT INTO "entry" VALUES('test-act-00149','test-act-00002','insulation-dew',0,'no','no',NULL,'{}',NULL,'test-act-00149');
INSERT INTO "entry" VALUES('test-act-00150','test-act-00002','insulation-mohm',0,'1.5','',1.5,'{}',NULL,'test-act-00150');
INSERT INTO "entry" VALUES('test-act-00151','test-act-00002','insulation-c',0,'1.5','',1.5,'{}',NULL,'test-act-00151');
INSERT INTO "entry" VALUES('test-act-00152','test-act-00002','insulation-10',0,'1.5','',1.5,'{}',NULL,'test-act-00152');
INSERT INTO "entry" VALUES('test-act-00153','test-act-00002','coils',0,'1.5
1.6
-
1.4','1.5;1.6;-;1.4',NULL,'{}',NULL,'test-act-00153');
INSERT INTO "entry" VALUES('test-act-00154','test-act-00002','coils-c',0,'1.5','',1.5,'{}',NULL,'test-act-00154');
INSERT INTO "entry" VALUES('test-act-00155','test-act-00002','cold-ohm',0,'1.5','',1.5,'{}',NULL,'test-act-00155');
INSERT INTO "entry" VALUES('test-act-00156','test-act-00002','cold-c',0,'1.5','',1.5,'{}',NULL,'test-act-00156');
INSERT INTO "entry" VALUES('test-act-00157','test-act-00002','hot-ohm',0,'1.5','',1.5,'{}',NULL,'test-act-00157');
INSERT INTO "entry" VALUES('test-act-00158','test-act-00002','air-c',0,'1.5','',1.5,'{}',NULL,'test-act-00158');
INSERT INTO "entry" VALUES('test-act-00159','test-act-00002','growler',0,'pass','pass',NULL,'{}',NULL,'test-act-00159');
INSERT INTO "entry" VALUES('test-act-00160','test-act-00002','growler-slots',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00160');
INSERT INTO "entry" VALUES('test-act-00161','test-act-00002','wear-chain',0,'right','right',NULL,'{}',NULL,'test-act-00161');
INSERT INTO "entry" VALUES('test-act-00162','test-act-00002','heat-chain',0,'right','right',NULL,'{}',NULL,'test-act-00162');
INSERT INTO "entry" VALUES('test-act-00163','test-act-00002','remark.windings',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00163');
INSERT INTO "entry" VALUES('test-act-00164','test-act-00002','seen.bearing.rough',0,'yes','yes',NULL,'{}',NULL,'test-act-00164');
INSERT INTO "entry" VALUES('test-act-00165','test-act-00002','seen.bearing.loose',0,'yes','yes',NULL,'{}',NULL,'test-act-00165');
INSERT INTO "entry" VALUES('test-act-00166','test-act-00002','seen.bearing.locked',0,'yes','yes',NULL,'{}',NULL,'test-act-00166');
INSERT INTO "entry" VALUES('test-act-00167','test-act-00002','seen.bearing.dry',0,'yes','yes',NULL,'{}',NULL,'test-act-00167');
INSERT INTO "entry" VALUES('test-act-00168','test-act-00002','seen.bush.dry',0,'yes','yes',NULL,'{}',NULL,'test-act-00168');
INSERT INTO "entry" VALUES('test-act-00169','test-act-00002','seen.bearing.seal',0,'yes','yes',NULL,'{}',NULL,'test-act-00169');
INSERT INTO "entry" VALUES('test-act-00170','test-act-00002','seen.drive.shaft',0,'yes','yes',NULL,'{}',NULL,'test-act-00170');
INSERT INTO "entry" VALUES('test-act-00171','test-act-00002','seen.drive.keyway',0,'yes','yes',NULL,'{}',NULL,'test-act-00171');
INSERT INTO "entry" VALUES('test-act-00172','test-act-00002','seen.drive.fan',0,'yes','yes',NULL,'{}',NULL,'test-act-00172');
INSERT INTO "entry" VALUES('test-act-00173','test-act-00002','seen.drive.worn',0,'yes','yes',NULL,'{}',NULL,'test-act-00173');
INSERT INTO "entry" VALUES('test-act-00174','test-act-00002','seen.drive.belt',0,'yes','yes',NULL,'{}',NULL,'test-act-00174');
INSERT INTO "entry" VALUES('test-act-00175','test-act-00002','seen.drive.washer',0,'yes','yes',NULL,'{}',NULL,'test-act-00175');
INSERT INTO "entry" VALUES('test-act-00176','test-act-00002','seen.drive.jammed',0,'yes','yes',NULL,'{}',NULL,'test-act-00176');
INSERT INTO "entry" VALUES('test-act-00177','test-act-00002','sound.drive',0,'yes','yes',NULL,'{}',NULL,'test-act-00177');
INSERT INTO "entry" VALUES('test-act-00178','test-act-00002','b-number',1,'as seen','as seen',NULL,'{}',NULL,'test-act-00178');
INSERT INTO "entry" VALUES('test-act-00179','test-act-00002','b-number',2,'as seen','as seen',NULL,'{}',NULL,'test-act-00179');
INSERT INTO "entry" VALUES('test-act-00180','test-act-00002','b-feel',1,'smooth','smooth',NULL,'{}',NULL,'test-act-00180');
INSERT INTO "entry" VALUES('test-act-00181','test-act-00002','b-feel',2,'smooth','smooth',NULL,'{}',NULL,'test-act-00181');
INSERT INTO "entry" VALUES('test-act-00182','test-act-00002','b-noise',1,'none','none',NULL,'{}',NULL,'test-act-00182');
INSERT INTO "entry" VALUES('test-act-00183','test-act-00002','b-noise',2,'none','none',NULL,'{}',NULL,'test-act-00183');
INSERT INTO "entry" VALUES('test-act-00184','test-act-00002','b-play',1,'none','none',NULL,'{}',NULL,'test-act-00184');
INSERT INTO "entry" VALUES('test-act-00185','test-act-00002','b-play',2,'none','none',NULL,'{}',NULL,'test-act-00185');
INSERT INTO "entry" VALUES('test-act-00186','test-act-00002','b-seal',1,'sound','sound',NULL,'{}',NULL,'test-act-00186');
INSERT INTO "entry" VALUES('test-act-00187','test-act-00002','b-seal',2,'sound','sound',NULL,'{}',NULL,'test-act-00187');
INSERT INTO "entry" VALUES('test-act-00188','test-act-00002','b-grease',1,'clean','clean',NULL,'{}',NULL,'test-act-00188');
INSERT INTO "entry" VALUES('test-act-00189','test-act-00002','b-grease',2,'clean','clean',NULL,'{}',NULL,'test-act-00189');
INSERT INTO "entry" VALUES('test-act-00190','test-act-00002','b-seat',1,'sound','sound',NULL,'{}',NULL,'test-act-00190');
INSERT INTO "entry" VALUES('test-act-00191','test-act-00002','b-seat',2,'sound','sound',NULL,'{}',NULL,'test-act-00191');
INSERT INTO "entry" VALUES('test-act-00192','test-act-00002','b-hours',1,'1.5','',1.5,'{}',NULL,'test-act-00192');
INSERT INTO "entry" VALUES('test-act-00193','test-act-00002','b-hours',2,'1.5','',1.5,'{}',NULL,'test-act-00193');
INSERT INTO "entry" VALUES('test-act-00194','test-act-00002','b-life',1,'1.5','',1.5,'{}',NULL,'test-act-00194');
INSERT INTO "entry" VALUES('test-act-00195','test-act-00002','b-life',2,'1.5','',1.5,'{}',NULL,'test-act-00195');
INSERT INTO "entry" VALUES('test-act-00196','test-act-00002','b-years',1,'1.5','',1.5,'{}',NULL,'test-act-00196');
INSERT INTO "entry" VALUES('test-act-00197','test-act-00002','b-years',2,'1.5','',1.5,'{}',NULL,'test-act-00197');
INSERT INTO "entry" VALUES('test-act-00198','test-act-00002','journal',1,'1.5','',1.5,'{}',NULL,'test-act-00198');
INSERT INTO "entry" VALUES('test-act-00199','test-act-00002','journal',2,'1.5','',1.5,'{}',NULL,'test-act-00199');
INSERT INTO "entry" VALUES('test-act-00200','test-act-00002','bush',1,'1.5','',1.5,'{}',NULL,'test-act-00200');
INSERT INTO "entry" VALUES('test-act-00201','test-act-00002','bush',2,'1.5','',1.5,'{}',NULL,'test-act-00201');
INSERT INTO "entry" VALUES('test-act-00202','test-act-00002','bush-state',1,'oiled','oiled',NULL,'{}',NULL,'test-act-00202');
INSERT INTO "entry" VALUES('test-act-00203','test-act-00002','bush-state',2,'oiled','oiled',NULL,'{}',NULL,'test-act-00203');
INSERT INTO "entry" VALUES('test-act-00204','test-act-00002','kit-shaft',1,'1.5','',1.5,'{}',NULL,'test-act-00204');
INSERT INTO "entry" VALUES('test-act-00205','test-act-00002','kit-shaft',2,'1.5','',1.5,'{}',NULL,'test-act-00205');
INSERT INTO "entry" VALUES('test-act-00206','test-act-00002','kit-bore',1,'1.5','',1.5,'{}',NULL,'test-act-00206');
INSERT INTO "entry" VALUES('test-act-00207','test-act-00002','kit-bore',2,'1.5','',1.5,'{}',NULL,'test-act-00207');
INSERT INTO "entry" VALUES('test-act-00208','test-act-00002','kit-housing',1,'1.5','',1.5,'{}',NULL,'test-act-00208');
INSERT INTO "entry" VALUES('test-act-00209','test-act-00002','kit-housing',2,'1.5','',1.5,'{}',NULL,'test-act-00209');
INSERT INTO "entry" VALUES('test-act-00210','test-act-00002','kit-outside',1,'1.5','',1.5,'{}',NULL,'test-act-00210');
INSERT INTO "entry" VALUES('test-act-00211','test-act-00002','kit-outside',2,'1.5','',1.5,'{}',NULL,'test-act-00211');
INSERT INTO "entry" VALUES('test-act-00212','test-act-00002','end-float',0,'1.5','',1.5,'{}',NULL,'test-act-00212');
INSERT INTO "entry" VALUES('test-act-00213','test-act-00002','vibration',0,'1.5','',1.5,'{}',NULL,'test-act-00213');
INSERT INTO "entry" VALUES('test-act-00214','test-act-00002','ring-section',0,'1.5','',1.5,'{}',NULL,'test-act-00214');
INSERT INTO "entry" VALUES('test-act-00215','test-act-00002','ring-groove',0,'1.5','',1.5,'{}',NULL,'test-act-00215');
INSERT INTO "entry" VALUES('test-act-00216','test-act-00002','teeth',0,'sound','sound',NULL,'{}',NULL,'test-act-00216');
INSERT INTO "entry" VALUES('test-act-00217','test-act-00002','clutch',0,'right','right',NULL,'{}',NULL,'test-act-00217');
INSERT INTO "entry" VALUES('test-act-00218','test-act-00002','belt',0,'sound','sound',NULL,'{}',NULL,'test-act-00218');
INSERT INTO "entry" VALUES('test-act-00219','test-act-00002','cushions',0,'sound','sound',NULL,'{}',NULL,'test-act-00219');
INSERT INTO "entry" VALUES('test-act-00220','test-act-00002','remark.drive',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00220');
INSERT INTO "entry" VALUES('test-act-00221','test-act-00002','remark.decide',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00221');
INSERT INTO "entry" VALUES('test-act-00222','test-act-00002','remark.rework',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00222');
INSERT INTO "entry" VALUES('test-act-00223','test-act-00002','latched',0,'yes','yes',NULL,'{}',NULL,'test-act-00223');
INSERT INTO "entry" VALUES('test-act-00224','test-act-00002','marks-met',0,'yes','yes',NULL,'{}',NULL,'test-act-00224');
INSERT INTO "entry" VALUES('test-act-00225','test-act-00002','free',0,'yes','yes',NULL,'{}',NULL,'test-act-00225');
INSERT INTO "entry" VALUES('test-act-00226','test-act-00002','nothing-left',0,'yes','yes',NULL,'{}',NULL,'test-act-00226');
INSERT INTO "entry" VALUES('test-act-00227','test-act-00002','torque-nm',0,'1.5','',1.5,'{}',NULL,'test-act-00227');
INSERT INTO "entry" VALUES('test-act-00228','test-act-00002','remark.close',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00228');
INSERT INTO "entry" VALUES('test-act-00229','test-act-00002','earth-ohm',0,'1.5','',1.5,'{}',NULL,'test-act-00229');
INSERT INTO "entry" VALUES('test-act-00230','test-act-00002','remark.prove',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00230');
INSERT INTO "entry" VALUES('test-act-00231','test-act-00002','parts',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00231');
INSERT INTO "entry" VALUES('test-act-00232','test-act-00002','remark.sign',0,'as seen','as seen',NULL,'{}',NULL,'test-act-00232');
INSERT INTO "entry" VALUES('test-act-00233','test-act-00002','permit.close',1,'yes','yes',NULL,'{}',NULL,'test-act-00233');
INSERT INTO "entry" VALUES('test-act-00234','test-act-00002','overrule.brushes',0,'watch','watch',NULL,'{"why": "the scale is wrong"}',NULL,'test-act-00234');
INSERT INTO "entry" VALUES('test-act-00235','test-act-00002','ruled-out.stuck',0,'yes','yes',NULL,'{}',NULL,'test-act-00235');
INSERT INTO "entry" VALUES('test-act-00236','test-act-00002','temporary',1,'tied up','tied up',NULL,'{"who": "Bram", "day": "2026-06-10"}',NULL,'test-act-00236');
INSERT INTO "entry" VALUES('test-act-00237','test-act-00002','decide.lead.taut',1,'deferred','deferred',NULL,'{"who": "Bram", "day": "2026-06-10"}',NULL,'test-act-00237');
INSERT INTO "entry" VALUES('test-act-00238','test-act-00002','decide.terminal.poor',1,'dropped','dropped',NULL,'{"why": "it was dust"}',NULL,'test-act-00238');
INSERT INTO "entry" VALUES('test-act-00239','test-act-00002','decide.brush.sticky',1,'done','done',NULL,'{}',NULL,'test-act-00239');
INSERT INTO "entry" VALUES('test-act-00240','test-act-00002','decide.windings.burnt',0,'deferred','deferred',NULL,'{"who": "Bram", "day": "2026-06-10"}',NULL,'test-act-00240');
INSERT INTO "entry" VALUES('test-act-00241','test-act-00002','next-look',0,'2026-06-10','2026-06-10',NULL,'{}',NULL,'test-act-00241');
INSERT INTO "entry" VALUES('test-act-00242','test-act-00002','skip.rework',0,'no time','no time',NULL,'{}',NULL,'test-act-00242');
INSERT INTO "entry" VALUES('test-act-00244','test-act-00002','addition',1,'and something more','and something more',NULL,'{}',NULL,'test-act-00244');
INSERT INTO "entry" VALUES('test-act-00246','test-act-00245','confirm.power',0,'yes','yes',NULL,'{}',NULL,'test-act-00246');
INSERT INTO "entry" VALUES('test-act-00247','test-act-00245','waive.safe',0,'in parts','in parts',NULL,'{}',NULL,'test-act-00247');
INSERT INTO "entry" VALUES('test-act-00248','test-act-00245','run-out',0,'0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.05','0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.02;-;0.05',NULL,'{}',NULL,'test-act-00248');
INSERT INTO "entry" VALUES('test-act-00249','test-act-00245','bar-map',0,'burnt 3, 26; dark 40-44','dark 40-44; burnt 3, 26',NULL,'{}',NULL,'test-act-00249');
INSERT INTO "entry" VALUES('test-act-00250','test-act-00245','track-d',0,'56.2; 56.1','56.2;56.1',NULL,'{}',NULL,'test-act-00250');
INSERT INTO "entry" VALUES('test-act-00251','test-act-00245','insulation-mohm',0,'80','',80.0,'{}',NULL,'test-act-00251');
INSERT INTO "entry" VALUES('test-act-00252','test-act-00245','complaint',0,'loud again','loud again',NULL,'{}',NULL,'test-act-00252');
CREATE TABLE finding (
    id text primary key,
    round_id text not null references round (id),
    position_number integer not null check (position_number between 1 and 40),
    seen text not null,
    struck_act_id text references act (id),
    act_id text not null references act (id)
) strict;
INSERT INTO "finding" VALUES('test-act-00009','test-act-00002',1,'lead.taut',NULL,'test-act-00009');
INSERT INTO "finding" VALUES('test-act-00010','test-act-00002',1,'terminal.poor',NULL,'test-act-00010');
INSERT INTO "finding" VALUES('test-act-00011','test-act-00002',1,'face.glazed',NULL,'test-act-00011');
INSERT INTO "finding" VALUES('test-act-00012','test-act-00002',1,'brush.sticky',NULL,'test-act-00012');
CREATE TABLE forecast (
    motor_id text primary key references motor (id),
    ahead_json text not null
) strict;
INSERT INTO "forecast" VALUES('test-act-00001','{"visits": 1, "past_sets": 0, "life_units": 4639.437609267468, "p05_units": 295.76843109130857, "p10_units": 383.8685028076172, "p25_units": 595.2166748046875, "p50_units": 965.3956909179688, "p75_units": 1622.0623168945312, "p90_units": 2547.451513671876, "p95_units": 3716.958349609374, "look_units": 295.76843140801066, "p10_on": null, "p50_on": null, "p90_on": null, "look_on": null, "tail": 0.0, "jumped": 0.0, "rate_mm_per_unit": 0.0029637212865054607, "worst_position": 1, "seen_units": 100.0, "coarse": false}');
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
INSERT INTO "forecast_made" VALUES('test-act-00002','test-act-00001.set','test-act-00001','2026-06-01T09:26:00',1,2.95768431091308571009e+02,3.83868502807617176138e+02,9.65395690917968750041e+02,2.54745151367187600043e+03,3.71695834960937418153e+03,2.95768431408010656017e+02,0.0);
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
, tag_key text not null default '', sought_key text not null default '', place_key text not null default '') strict;
INSERT INTO "motor" VALUES('test-act-00001','X-01','Trap winch','under stage','industrial',NULL,1,'test-act-00001','x01','x01
trapwinch
understage','understage');
CREATE TABLE motor_figure (
    motor_id text not null references motor (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (motor_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
INSERT INTO "motor_figure" VALUES('test-act-00001','bars',45.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','capacitors',NULL,'yes');
INSERT INTO "motor_figure" VALUES('test-act-00001','commutator_d_mm',60.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','form_wound',NULL,'yes');
INSERT INTO "motor_figure" VALUES('test-act-00001','grade_family',NULL,'electrographite');
INSERT INTO "motor_figure" VALUES('test-act-00001','limit_mm',8.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','limit_source',NULL,'maker');
INSERT INTO "motor_figure" VALUES('test-act-00001','mass_kg',60.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','new_mm',22.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','rated_a',9.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','rated_v',230.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','speed_taps',NULL,'0.5; 1');
INSERT INTO "motor_figure" VALUES('test-act-00001','thickness_mm',8.0,NULL);
INSERT INTO "motor_figure" VALUES('test-act-00001','width_mm',16.0,NULL);
CREATE TABLE motor_type (
    id text primary key,
    name text not null unique collate nocase,
    class text not null check (class in ('appliance', 'tool', 'starter', 'industrial', 'traction', 'generator')),
    act_id text not null references act (id)
, name_key text not null default '', taught integer not null default 0) strict;
CREATE TABLE past_set (
    set_id text primary key references brush_set (id),
    motor_id text not null references motor (id),
    log_rate real not null, -- ln(mm per unit of use), mean of the set
    at_most integer not null check (at_most in (0, 1))
) strict;
CREATE TABLE person (
    id text primary key,
    name text not null unique collate nocase,
    made_at text not null
, name_key text not null default '') strict;
INSERT INTO "person" VALUES('person-of-test','Ines Torvald','2026-11-24T09:00:00','inestorvald');
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
INSERT INTO "position" VALUES('test-act-00001',1,'A',90.0,1,'+');
INSERT INTO "position" VALUES('test-act-00001',2,'B',270.0,2,'-');
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
INSERT INTO "reading" VALUES('test-act-00007','test-act-00002',1,'9.1','mm','length','digital-caliper',9.1,9.1,0.05,9.1,9.1,NULL,NULL,'','','',NULL,'test-act-00007');
INSERT INTO "reading" VALUES('test-act-00008','test-act-00002',2,'15','mm','length','digital-caliper',15.0,15.0,0.05,15.0,15.0,NULL,NULL,'','','',NULL,'test-act-00008');
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
INSERT INTO "round" VALUES('test-act-00002','test-act-00001','test-act-00001.set','check','2026-06-01T09:01:00',1,100.0,'2026-06-01T09:26:00','test-act-00002');
INSERT INTO "round" VALUES('test-act-00245','test-act-00001','test-act-00001.set','check','2026-06-21T09:31:00',2,100.0,NULL,'test-act-00245');
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
INSERT INTO "sheet" VALUES('test-act-00002','test-act-00001',1,'full','2026-06-01T09:01:00','2026-06-01T09:26:00','{"person": "Ines Torvald", "sentence": "Take it out of service: this set must not run again. Brush A: lead taut, the brush hangs on it; renew, whatever the length says.", "word": "Out of service", "stage": "stop", "reasons": ["Brushes: Change now was overruled by Ines Torvald to Watch: the scale is wrong.", "Brush A, lead taut, the brush hangs on it: renew, whatever the length says. (Out of service.)", "Commutator, a raised or loose bar: not to be run: it tears the brushes and may fly. (Out of service.)", "Commutator, a riser broken or unsoldered: not to be run: re-solder it or send the armature out. (Out of service.)", "Commutator, one bar high in the bar test: not to be run, open coil: re-solder the riser if that is all, else renew the armature. (Out of service.)", "Commutator, one bar low in the bar test: not to be run, shorted turns: renew or rewind the armature. (Out of service.)", "Windings and magnets, burnt, melted or smelling: armature or coil is out: renew or rewind it. (Out of service.)", "Windings and magnets, earth fault: no power; clean and dry, test again before it is condemned. (Out of service.)", "Windings and magnets, a binding or wedge of the armature lifted: it flies: not to be turned under power, re-band or re-wedge it, or renew the armature. (Out of service.)", "Windings and magnets, a wire of a winding broken: re-join it if both ends can be reached, else rewind. (Out of service.)", "Windings and magnets, a magnet cracked, crumbling or loose: out of service: fragments jam the gap. (Out of service.)", "Bearings and drive, a bearing locked: renew it before the motor turns again. (Out of service.)", "Bearings and drive, shaft bent: renew or straighten the shaft before it turns under power. (Out of service.)", "Bearings and drive, gear, pinion or clutch jammed: free or renew it before power. (Out of service.)", "Windings and magnets, protective earth too high: no power until the earth is joined again. (Out of service.)", "Commutator, 56.50 mm after the cut, under its least of 57.90 mm: renew it or send the armature out. (Out of service.)", "Commutator, bars burnt: measure run-out, make the bar test, plan a cut. (Mend now.)", "Commutator, marks of a flashover: clean off every bridge, test bar to bar and to earth, find what flashed: neutral, overload, dust. (Mend now.)", "Windings and magnets, turns loose or rubbed: secure and varnish, or renew. (Mend now.)", "Windings and magnets, field coils differ: renew the odd coil. (Mend now.)", "Windings and magnets, core of armature or pole rubbed: find why it rubbed: bearing, shaft, pole; test for shorts, varnish bared steel. (Mend now.)", "Windings and magnets, bolts of a pole loose: set the pole and tighten it, measure the air gap all round. (Mend now.)", "Windings and magnets, an interpole hot or coloured by heat: check its joints, its turns and its polarity. (Mend now.)", "Bearings and drive, a bearing rough or notchy: renew it, check shaft and seat. (Mend now.)", "Bearings and drive, clear play, or spun in its seat: renew it, measure shaft and seat first. (Mend now.)", "Bearings and drive, a rolling bearing dry: renew it: oil does not bring it back. (Mend now.)", "Bearings and drive, keyway worn: renew key and keyway, or the shaft. (Mend now.)", "Bearings and drive, fan cracked or blades missing: renew it: it flies apart, and without it the motor burns. (Mend now.)", "Bearings and drive, a fibre or thrust washer or a wave spring broken or lost: fit the right one before it is closed: it holds the end float. (Mend now.)", "Brush A, spring force over a fifth off: renew the springs as a set now. (Mend now.)", "Brush B, spring force over a fifth off: renew the springs as a set now. (Mend now.)", "Brush A, holder gap too narrow: set the holder back before it touches the copper. (Mend now.)", "Brush B, holder gap too narrow: set the holder back before it touches the copper. (Mend now.)", "Windings and magnets, from bar 2 to the shaft: only 1.5 \u00b0C: test again warm; insulation 1.5 M\u03a9, only 1.5 \u00b0C: test again warm: test it again before power, warm and dry, with all parted that leads to the case. (Mend now.)", "Windings and magnets, field coils: coils 2 (+6.7%) and 3 (-6.7%) off the median: shorted turns if low, a poor joint if high: shorted turns if low, a poor joint if high: renew or re-solder. (Mend now.)", "Commutator, black all over: clean it and its slots, then look for the cause. (Plan the repair.)", "Commutator, rough, grooved or pitted: measure it and plan a cut within its least diameter. (Plan the repair.)", "Commutator, mica level with the copper, or high: undercut it. (Plan the repair.)", "Bearings and drive, a plain bush dry: oil it: sintered, wick, cup or ring. (Plan the repair.)", "Bearings and drive, a seal hard or torn: renew it, no silicone near brushes. (Plan the repair.)", "Bearings and drive, gear, pinion or coupling worn: renew it with its mate checked. (Plan the repair.)", "Bearings and drive, belt off, slack or glazed: put it on, tension or renew it before the motor is blamed. (Plan the repair.)", "Brush A, brush tight in its box: dress it on a flat plate or fit the right part; never file the box. (Plan the repair.)", "Brush B, brush tight in its box: dress it on a flat plate or fit the right part; never file the box. (Plan the repair.)", "Springs, leads, terminals, terminal drops or resists too much: clean to metal, retension, test again: this alone can stop a motor. (Plan the repair.)", "Holders, holders not set since the cut: the brush sinks by 0.250 mm: set them: the brush sinks and the spring must reach further. (Plan the repair.)", "Brushes, faces shaped to 28.50 mm, the radius is 28.25 mm now: give them the new curve and seat them. (Plan the repair.)", "Windings and magnets, polarization index 1.00, damp or dirty: clean, dry, test again: damp or dirty: clean, dry, test again. (Plan the repair.)", "Bearings and drive, O-ring squeezed by 0%: take the right section. (Plan the repair.)", "Brush A, face glazed: think of light load, low pressure, damp missing or silicone vapour. (Watch.)", "Commutator, slots full of dust: clean the slots: the dust conducts. (Watch.)", "Windings and magnets, covered with carbon dust: vacuum it, then test the insulation again. (Watch.)", "Bearings and drive, drive end: 2 h are over 50% of its expected 2 h; other end: 2 h are over 50% of its expected 2 h: renew it while it is in reach. (Watch.)", "Change now: usable carbon of brush A is 6%, at or under 10%.", "Limit 8.2 mm: maker''s figure, 0.25 mm further since the cut on sheet 1, until the holders are set.", "No straight line: the wear is under what the instrument can tell.", "Uneven: the wear differs by 59% of its mean, A most. Look at holder, spring and lead there before renewing.", "One polarity wears 1.8 times as fast as the other."], "open": ["Not decided: Commutator, a raised or loose bar", "Not decided: Commutator, a riser broken or unsoldered", "Not decided: Commutator, one bar high in the bar test", "Not decided: Commutator, one bar low in the bar test", "Not decided: Windings and magnets, earth fault", "Not decided: Windings and magnets, a binding or wedge of the armature lifted", "Not decided: Windings and magnets, a wire of a winding broken", "Not decided: Windings and magnets, a magnet cracked, crumbling or loose", "Not decided: Bearings and drive, a bearing locked", "Not decided: Bearings and drive, shaft bent", "Not decided: Bearings and drive, gear, pinion or clutch jammed", "Not decided: Windings and magnets, protective earth too high", "Not decided: Commutator, 56.50 mm after the cut, under its least of 57.90 mm", "Not decided: Commutator, bars burnt", "Not decided: Commutator, marks of a flashover", "Not decided: Windings and magnets, turns loose or rubbed", "Not decided: Windings and magnets, field coils differ", "Not decided: Windings and magnets, core of armature or pole rubbed", "Not decided: Windings and magnets, bolts of a pole loose", "Not decided: Windings and magnets, an interpole hot or coloured by heat", "Not decided: Bearings and drive, a bearing rough or notchy", "Not decided: Bearings and drive, clear play, or spun in its seat", "Not decided: Bearings and drive, a rolling bearing dry", "Not decided: Bearings and drive, keyway worn", "Not decided: Bearings and drive, fan cracked or blades missing", "Not decided: Bearings and drive, a fibre or thrust washer or a wave spring broken or lost", "Not decided: Brush A, spring force over a fifth off", "Not decided: Brush B, spring force over a fifth off", "Not decided: Brush A, holder gap too narrow", "Not decided: Brush B, holder gap too narrow", "Not decided: Windings and magnets, from bar 2 to the shaft: only 1.5 \u00b0C: test again warm; insulation 1.5 M\u03a9, only 1.5 \u00b0C: test again warm", "Not decided: Windings and magnets, field coils: coils 2 (+6.7%) and 3 (-6.7%) off the median: shorted turns if low, a poor joint if high", "Not decided: Commutator, black all over", "Not decided: Commutator, rough, grooved or pitted", "Not decided: Commutator, mica level with the copper, or high", "Not decided: Bearings and drive, a plain bush dry", "Not decided: Bearings and drive, a seal hard or torn", "Not decided: Bearings and drive, gear, pinion or coupling worn", "Not decided: Bearings and drive, belt off, slack or glazed", "Not decided: Brush A, brush tight in its box", "Not decided: Brush B, brush tight in its box", "Not decided: Springs, leads, terminals, terminal drops or resists too much", "Not decided: Holders, holders not set since the cut: the brush sinks by 0.250 mm", "Not decided: Brushes, faces shaped to 28.50 mm, the radius is 28.25 mm now", "Not decided: Windings and magnets, polarization index 1.00, damp or dirty: clean, dry, test again", "Not decided: Bearings and drive, O-ring squeezed by 0%", "It is not said what becomes of the motor"], "why": "signed with everything open", "work": ["Renew the set", "Renew the armature or send it out", "Clean, dry, and test the insulation again", "Have the armature banded or wedged anew", "Take the case out of service", "Renew the bearing", "Renew the shaft, or the armature with it", "Mend the drive", "Join the protective earth again", "Make the bar test", "Plan a cut", "Clean up after the flashover", "Renew the field coil", "Find why the core rubs", "Set the poles", "Check the interpoles", "Renew the fan", "Fit the washer or wave spring", "Renew the springs as a set", "Set the holder gap", "Test the insulation again", "Clean the track", "Look for the cause", "Undercut the mica", "Oil the bush", "Renew the seal", "Dress the brush to its box", "Clean and retension the terminals", "Set the holders to the new diameter", "Give the brushes the new curve"], "look_on": "2026-06-10", "look_at": null, "look_by": "asked for on this sheet", "sooner": "2026-06-10"}','test-act-00002');
INSERT INTO "sheet" VALUES('test-act-00245','test-act-00001',2,'full','2026-06-21T09:31:00',NULL,NULL,'test-act-00245');
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
CREATE TABLE site (
    id integer primary key check (id = 1),
    name text not null,
    demo_day text,
    made_at text not null
) strict;
INSERT INTO "site" VALUES(1,'Test shop',NULL,'2026-11-24T09:00:00');
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
, early_on text, late_on text, look_by text not null default '', version integer not null default 0, place_key text not null default '') strict;
INSERT INTO "standing" VALUES('test-act-00001',0,'stop',6,NULL,NULL,'9999-12-31',8.49999999999999644728e-01,'Take it out of service: this set must not run again. Brush A: lead taut, the brush hangs on it; renew, whatever the length says.','Out of service','springs, leads, terminals; not enough wear yet; uneven','{"new_mm": 22.0, "limit_mm": 8.25, "estimated": false, "unit": "mm", "brushes": [{"label": "A", "length_mm": 9.1, "next_mm": 8.519796932610294, "old": false}, {"label": "B", "length_mm": 15.0, "next_mm": 14.419796932610295, "old": false}]}',NULL,NULL,'forecast',163,'understage');
CREATE TABLE type_figure (
    type_id text not null references motor_type (id),
    name text not null,
    value_real real,
    value_text text,
    primary key (type_id, name),
    check ((value_real is null) <> (value_text is null))
) strict, without rowid;
CREATE TABLE type_position (
    type_id text not null references motor_type (id),
    number integer not null check (number between 1 and 40),
    label text not null,
    angle_deg real not null check (angle_deg >= 0 and angle_deg < 360),
    arm integer not null check (arm >= 1),
    polarity text not null check (polarity in ('+', '-')),
    primary key (type_id, number)
) strict, without rowid;
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
INSERT INTO "use_entry" VALUES('test-act-00001.use','test-act-00001',1,'2026-06-01T09:00:00',100.0,100.0,'100','first',NULL,'test-act-00001');
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
CREATE INDEX person_key on person (name_key);
CREATE INDEX motor_type_key on motor_type (name_key);
CREATE INDEX motor_key on motor (tag_key);
CREATE INDEX motor_place on motor (place_key);
CREATE INDEX standing_place on standing (place_key, early_on, look_on, motor_id);
COMMIT;
