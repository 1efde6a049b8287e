BEGIN TRANSACTION;
CREATE TABLE alembic_version (
	version_num VARCHAR(32) NOT NULL, 
	CONSTRAINT alembic_version_pkc PRIMARY KEY (version_num)
);
INSERT INTO "alembic_version" VALUES('0015');
CREATE TABLE amendment (
	id INTEGER NOT NULL, 
	card_id INTEGER NOT NULL, 
	"key" VARCHAR NOT NULL, 
	written_by VARCHAR NOT NULL, 
	text VARCHAR NOT NULL, 
	written_at DATETIME NOT NULL, 
	CONSTRAINT pk_amendment PRIMARY KEY (id), 
	CONSTRAINT fk_amendment_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT uq_amendment_key UNIQUE ("key")
);
CREATE TABLE asked (
	id INTEGER NOT NULL, 
	"key" VARCHAR NOT NULL, 
	digest VARCHAR NOT NULL, 
	made VARCHAR NOT NULL, 
	at DATETIME NOT NULL, 
	CONSTRAINT pk_asked PRIMARY KEY (id), 
	CONSTRAINT uq_asked_key UNIQUE ("key")
);
CREATE TABLE blade (
	id INTEGER NOT NULL, 
	blade_set_id INTEGER NOT NULL, 
	nominal_nm INTEGER NOT NULL, 
	measured_nm INTEGER, 
	state VARCHAR NOT NULL, stamped_nm INTEGER, 
	CONSTRAINT pk_blade PRIMARY KEY (id), 
	CONSTRAINT ck_blade_state CHECK (state IN ('sound', 'bent', 'broken')), 
	CONSTRAINT fk_blade_blade_set_id_blade_set FOREIGN KEY(blade_set_id) REFERENCES blade_set (id), 
	CONSTRAINT uq_blade_blade_set_id UNIQUE (blade_set_id, nominal_nm)
);
INSERT INTO "blade" VALUES(1,1,30000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(2,1,40000,NULL,'bent',NULL);
INSERT INTO "blade" VALUES(3,1,50000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(4,1,60000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(5,1,70000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(6,1,80000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(7,1,90000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(8,1,100000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(9,1,130000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(10,1,150000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(11,1,180000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(12,1,200000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(13,1,230000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(14,1,250000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(15,1,280000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(16,1,300000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(17,1,330000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(18,1,350000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(19,1,380000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(20,1,400000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(21,1,450000,NULL,'sound',NULL);
INSERT INTO "blade" VALUES(22,1,500000,NULL,'sound',NULL);
CREATE TABLE blade_set (
	id INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	stacking BOOLEAN NOT NULL, stacks JSON DEFAULT '[]' NOT NULL, 
	CONSTRAINT pk_blade_set PRIMARY KEY (id), 
	CONSTRAINT uq_blade_set_name UNIQUE (name)
);
INSERT INTO "blade_set" VALUES(1,'Bench set',1,'[]');
CREATE TABLE "card" (
	id INTEGER NOT NULL, 
	engine_revision_id INTEGER NOT NULL, 
	version INTEGER NOT NULL, 
	opened_at DATETIME NOT NULL, 
	opened_by VARCHAR NOT NULL, 
	reason VARCHAR NOT NULL, 
	distance_km INTEGER, 
	aim VARCHAR NOT NULL, 
	rounding VARCHAR NOT NULL, 
	act VARCHAR NOT NULL, 
	signed_at DATETIME, 
	signed_by VARCHAR, 
	remarks VARCHAR, 
	next_check_km INTEGER, 
	hours VARCHAR, 
	rested_hours VARCHAR, 
	temperature_c VARCHAR, 
	warm_reason VARCHAR DEFAULT ('') NOT NULL, 
	method VARCHAR DEFAULT 'marks' NOT NULL, 
	seen_to JSON DEFAULT '[]' NOT NULL, 
	blade_set_id INTEGER, 
	trust VARCHAR DEFAULT 'measured' NOT NULL, 
	reuse BOOLEAN DEFAULT 1 NOT NULL, 
	variant VARCHAR DEFAULT 'best' NOT NULL, 
	forbidden JSON DEFAULT '[]' NOT NULL, 
	zero_nm INTEGER, 
	instrument_id INTEGER, 
	tightening JSON DEFAULT '[]' NOT NULL, 
	as_signed JSON, 
	summary JSON, 
	put_away_at DATETIME, kind VARCHAR DEFAULT 'set' NOT NULL, only_valve VARCHAR, change_nm INTEGER, distance_mi INTEGER, next_check_mi INTEGER, next_check_hours VARCHAR, next_check_on DATE, symptoms VARCHAR DEFAULT '' NOT NULL, checks JSON, notes JSON DEFAULT '{}' NOT NULL, bill JSON DEFAULT '[]' NOT NULL, recalled JSON DEFAULT '{}' NOT NULL, origin JSON, outcome JSON, opened_too JSON DEFAULT '[]' NOT NULL, 
	CONSTRAINT pk_card PRIMARY KEY (id), 
	CONSTRAINT fk_card_engine_revision_id_engine_revision FOREIGN KEY(engine_revision_id) REFERENCES engine_revision (id), 
	FOREIGN KEY(instrument_id) REFERENCES instrument (id), 
	FOREIGN KEY(blade_set_id) REFERENCES blade_set (id)
);
INSERT INTO "card" VALUES(1,2,44,'2025-10-18 09:30:00.000000','Ivo Tarrask','Season''s end',6120,'loose','nearest','out','2025-10-18 11:39:00.000000','Ivo Tarrask','Cam caps evenly in three stages. New cover gasket.',9000,NULL,'15','11','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction", "decompressor", "pull-plug", "pull-mark", "pull-tensioner", "pull-caps", "pull-lift", "pull-bucket", "pull-read", "close-count", "close-lay", "close-caps", "close-marks", "close-tensioner", "close-slack", "close-turns", "close-cover", "close-cover-torque", "close-rest"]',1,'measured',1,'best','[]',NULL,1,'[]','{"label": "No. 8 \u00b7 Tindle Pentad", "note": "Gravel single, five valves; checked each season", "blade_set": {"name": "Bench set", "stacking": true, "blades": [{"nominal_nm": 30000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 40000, "measured_nm": null, "state": "bent", "stamped_nm": null}, {"nominal_nm": 50000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 60000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 70000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 80000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 90000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 100000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 130000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 150000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 180000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 200000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 230000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 250000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 280000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 300000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 330000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 350000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 380000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 400000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 450000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 500000, "measured_nm": null, "state": "sound", "stamped_nm": null}], "stacks": []}, "instrument": {"name": "Bench micrometer", "doubt_nm": 4000}}','{"at": "sign", "measured": 5, "opened": 2, "verdicts": {"IN L": "in", "IN C": "in", "IN R": "in", "EX L": "in", "EX R": "in"}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}',NULL,'{"IN L": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN C": {"found": {"low_nm": 80000, "high_nm": 80000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 1848000, "half_width_nm": 4000}, "left": {"low_nm": 130000, "high_nm": 130000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 1800000, "half_width_nm": 10000}, "changed": true}, "IN R": {"found": {"low_nm": 100000, "high_nm": 130000, "open_above": true, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX L": {"found": {"low_nm": 150000, "high_nm": 150000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 1700000, "half_width_nm": 20000}, "left": {"low_nm": 200000, "high_nm": 200000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 1650000, "half_width_nm": 10000}, "changed": true}, "EX R": {"found": {"low_nm": 200000, "high_nm": 200000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','[]');
INSERT INTO "card" VALUES(2,3,14,'2026-11-19 08:40:00.000000','Merrin Oske','Interval',24310,'maker','nearest','out',NULL,NULL,NULL,NULL,NULL,'14','9','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"]',1,'measured',1,'best','[]',NULL,1,'[]',NULL,'{"at": "feel", "measured": 4, "opened": 0, "verdicts": {"1 EX L": "in", "1 EX R": "in", "2 IN L": "in", "2 IN R": "in", "3 EX L": null, "3 EX R": null, "4 IN L": null, "4 IN R": null, "4 EX L": null, "4 EX R": null, "1 IN L": null, "1 IN R": null, "2 EX L": null, "2 EX R": null, "3 IN L": null, "3 IN R": null}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}',NULL,NULL,'[]');
INSERT INTO "card" VALUES(3,1,33,'2026-11-20 08:40:00.000000','Sanna Veldrig','Ticking when warm, hard to start cold',18540,'loose','nearest','out',NULL,NULL,NULL,NULL,NULL,'16','7.5','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"]',1,'measured',1,'best','[]',NULL,1,'[]',NULL,'{"at": "read", "measured": 12, "opened": 4, "verdicts": {"1 IN L": "in", "1 IN R": "in", "1 EX L": "in", "1 EX R": "tight", "3 IN L": "loose", "3 IN R": "in", "2 IN L": "in", "2 IN R": "tight", "2 EX L": "in", "2 EX R": "none", "3 EX L": "in", "3 EX R": "in"}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}',NULL,NULL,'[]');
INSERT INTO "card" VALUES(4,7,38,'2026-11-22 08:40:00.000000','Sanna Veldrig','Interval, and a light tick',11980,'loose','nearest','out',NULL,NULL,NULL,NULL,NULL,'30','6','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"]',1,'measured',1,'only-new','[]',NULL,1,'[{"name": "Cam caps", "places": [[0.1, 0.1], [0.5, 0.1], [0.9, 0.1], [0.1, 0.35], [0.5, 0.35], [0.9, 0.35], [0.1, 0.65], [0.5, 0.65], [0.9, 0.65], [0.1, 0.9], [0.5, 0.9], [0.9, 0.9]], "torque": "10", "unit": "N\u00b7m", "thread": "M6", "order": null, "turned": 17}]',NULL,'{"at": "prove", "measured": 8, "opened": 4, "verdicts": {"1 IN L": "in", "1 IN R": "tight", "1 EX L": "in", "1 EX R": "tight", "2 IN L": "in", "2 IN R": "tight", "2 EX L": "tight", "2 EX R": "in"}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}',NULL,NULL,'[]');
CREATE TABLE card_event (
	id INTEGER NOT NULL, 
	card_id INTEGER NOT NULL, 
	version INTEGER NOT NULL, 
	"key" VARCHAR NOT NULL, 
	action VARCHAR NOT NULL, 
	recorded_at DATETIME NOT NULL, digest VARCHAR, 
	CONSTRAINT pk_card_event PRIMARY KEY (id), 
	CONSTRAINT fk_card_event_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT uq_card_event_card_id UNIQUE (card_id, "key"), 
	CONSTRAINT uq_card_event_card_id UNIQUE (card_id, version)
);
INSERT INTO "card_event" VALUES(1,1,2,'demo-093300','conditions','2025-10-18 09:33:00.000000','0fb14bd30805958c120ca9a045a5fb64a5f8421390890958bf7a6f5fb95b5675');
INSERT INTO "card_event" VALUES(2,1,3,'demo-093600','safety power True','2025-10-18 09:36:00.000000','d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b');
INSERT INTO "card_event" VALUES(3,1,4,'demo-093900','safety stand True','2025-10-18 09:39:00.000000','0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334');
INSERT INTO "card_event" VALUES(4,1,5,'demo-094200','safety fuel True','2025-10-18 09:42:00.000000','5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d');
INSERT INTO "card_event" VALUES(5,1,6,'demo-094500','safety hands True','2025-10-18 09:45:00.000000','375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592');
INSERT INTO "card_event" VALUES(6,1,7,'demo-094800','safety clean True','2025-10-18 09:48:00.000000','817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba');
INSERT INTO "card_event" VALUES(7,1,8,'demo-095100','safety plug True','2025-10-18 09:51:00.000000','ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b');
INSERT INTO "card_event" VALUES(8,1,9,'demo-095400','safety plugs-out True','2025-10-18 09:54:00.000000','e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7');
INSERT INTO "card_event" VALUES(9,1,10,'demo-095700','safety direction True','2025-10-18 09:57:00.000000','1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9');
INSERT INTO "card_event" VALUES(10,1,11,'demo-100000','safety decompressor True','2025-10-18 10:00:00.000000','73846d8aeca7dc41d626570151ee7186acac68db6b94f1c02f2a19d3f94812f8');
INSERT INTO "card_event" VALUES(11,1,12,'demo-100300','found IN L 12','2025-10-18 10:03:00.000000','4967eabf8400969b235cadccc4b39c36e4697887431459e340753df3f07afb24');
INSERT INTO "card_event" VALUES(12,1,13,'demo-100600','found IN C 8','2025-10-18 10:06:00.000000','4b29eb343c1058c520df4f0b3a939170b749911ecf1848da2afaedf06290ae50');
INSERT INTO "card_event" VALUES(13,1,14,'demo-100900','found IN R 10-13','2025-10-18 10:09:00.000000','377665355b51cc6ebd1e05596c183b47f328b52373b4714e7b3df4bd5fa0ea37');
INSERT INTO "card_event" VALUES(14,1,15,'demo-101200','found EX L 15-18','2025-10-18 10:12:00.000000','249a771e7acde316c91c5116a8e2ad6cfc98d6a44884d8c2efc08a7a62c2c308');
INSERT INTO "card_event" VALUES(15,1,16,'demo-101500','found EX R 20','2025-10-18 10:15:00.000000','65c4370f6226fe2896644bba091970b191f22a7d0cc35b8b082f046dbe117b15');
INSERT INTO "card_event" VALUES(16,1,17,'demo-101800','found EX L 15','2025-10-18 10:18:00.000000','4d9860da3724963a89236b54b6e1f5d1a7503c328924b1658340dad7084cb268');
INSERT INTO "card_event" VALUES(17,1,18,'demo-102100','piece IN C 185 1.848','2025-10-18 10:21:00.000000','c53c2a82bfcada1b189247e58dbed5af165796edad181bca39cf771c76eaa605');
INSERT INTO "card_event" VALUES(18,1,19,'demo-102400','piece EX L 170','2025-10-18 10:24:00.000000','a91a3702ac1c16a9af4adf68940c24cbf1ff31828c3a3a062872c3176c72f8d6');
INSERT INTO "card_event" VALUES(19,1,20,'demo-102700','choose IN C 1800000','2025-10-18 10:27:00.000000','26f119060dcff525c43b1a62aa00f909b3fe39edb893a8a03344d2efad2e66f3');
INSERT INTO "card_event" VALUES(20,1,21,'demo-103000','choose EX L 1650000','2025-10-18 10:30:00.000000','65f650949113eb47cc3d67f5e2b70b0410bcaaba2399c942819cfa197b691458');
INSERT INTO "card_event" VALUES(21,1,22,'demo-103300','fit IN C True','2025-10-18 10:33:00.000000','0089651fbbbda389fe379cd82aa17d00794e1a32793d4597c37e0b9e8d5a2772');
INSERT INTO "card_event" VALUES(22,1,23,'demo-103600','fit EX L True','2025-10-18 10:36:00.000000','ac2239dbcb4c9252fd328834c1d9a0ccf44892c36c3f68c5a023bd116d0ccf6e');
INSERT INTO "card_event" VALUES(23,1,24,'demo-103900','turns 2','2025-10-18 10:39:00.000000','fdc69c5197588c8d8f2379d4e853ef1615bb8141876d47e366e74f3e962ca8ea');
INSERT INTO "card_event" VALUES(24,1,25,'demo-104200','proof IN C 13','2025-10-18 10:42:00.000000','421bcdc4ca5a4c4ccbd37fdf5d80f6ba339d62786bba15da68c61313e1ccddd6');
INSERT INTO "card_event" VALUES(25,1,26,'demo-104500','proof EX L 20','2025-10-18 10:45:00.000000','8dd566989b773443b60481e76699cf365f8afe6b9c24e08dfd17f83e628cf016');
INSERT INTO "card_event" VALUES(26,1,27,'demo-104800','safety pull-plug True','2025-10-18 10:48:00.000000','da20e7b2a39d840cfbd53a201032d8f21560d0cfca803d2f32c9da75827081ea');
INSERT INTO "card_event" VALUES(27,1,28,'demo-105100','safety pull-mark True','2025-10-18 10:51:00.000000','4feb4f6e38df074e76ab4c6b27fbf5954da297c23c10e85d2aca315600dd1ea2');
INSERT INTO "card_event" VALUES(28,1,29,'demo-105400','safety pull-tensioner True','2025-10-18 10:54:00.000000','5a09d317c629cce2a6d7ad567a8b82adae71ae3266742557dd15c989edcb5865');
INSERT INTO "card_event" VALUES(29,1,30,'demo-105700','safety pull-caps True','2025-10-18 10:57:00.000000','bec418ccf0bd104972662defc6b104e5b90db0556a34d42edce557fd9b50bbdb');
INSERT INTO "card_event" VALUES(30,1,31,'demo-110000','safety pull-lift True','2025-10-18 11:00:00.000000','9e502d7c184a583a7120df8271a912b74f83cdc8d922a75ff6df73be5bc6bb43');
INSERT INTO "card_event" VALUES(31,1,32,'demo-110300','safety pull-bucket True','2025-10-18 11:03:00.000000','7aba35d592b42776a60affb7b8571cfe3f4a3dedeab7a5ffcf8b182246283d94');
INSERT INTO "card_event" VALUES(32,1,33,'demo-110600','safety pull-read True','2025-10-18 11:06:00.000000','6f57115947897e3826a38cc12a0e880f4403f7d1ac9340d6c5b37a13077926c0');
INSERT INTO "card_event" VALUES(33,1,34,'demo-110900','safety close-count True','2025-10-18 11:09:00.000000','3fc4f4c6fcf69222eb66830939013be5763b4bcdf02c3151ffc24abe48eaa2e1');
INSERT INTO "card_event" VALUES(34,1,35,'demo-111200','safety close-lay True','2025-10-18 11:12:00.000000','68490ebeb5ad64894753f3c1569912867a05eb0d7a6172a0dbc209ccfba29be8');
INSERT INTO "card_event" VALUES(35,1,36,'demo-111500','safety close-caps True','2025-10-18 11:15:00.000000','1858e7dfad4f5df26d290b2fe731489285cc4c440b78568da47481a603796da4');
INSERT INTO "card_event" VALUES(36,1,37,'demo-111800','safety close-marks True','2025-10-18 11:18:00.000000','afe344ee9356804944197c9b70e29d0b122bd69f9e3341b5445aea6396d5f2ed');
INSERT INTO "card_event" VALUES(37,1,38,'demo-112100','safety close-tensioner True','2025-10-18 11:21:00.000000','d5edd6e1d2964f9b76506049e7ec801f4e040587ddfa3a27f59446ee4bd3e227');
INSERT INTO "card_event" VALUES(38,1,39,'demo-112400','safety close-slack True','2025-10-18 11:24:00.000000','34c3967302e31b343a02641e3c49679b7d1e7aedd6ae7f815d899f3034ba9d70');
INSERT INTO "card_event" VALUES(39,1,40,'demo-112700','safety close-turns True','2025-10-18 11:27:00.000000','2d4db126785580d137aa2e628f05c759fb819218d3c468812471c4fcb7803e1f');
INSERT INTO "card_event" VALUES(40,1,41,'demo-113000','safety close-cover True','2025-10-18 11:30:00.000000','07e7d85babeca285a4569eeba31d7881f38d7826e11e8c8a3221726daf64849c');
INSERT INTO "card_event" VALUES(41,1,42,'demo-113300','safety close-cover-torque True','2025-10-18 11:33:00.000000','f18028d888039dc5751fd704521a7d2636220f334d92cb77ce848dd53fc6b39e');
INSERT INTO "card_event" VALUES(42,1,43,'demo-113600','safety close-rest True','2025-10-18 11:36:00.000000','a859e3ed6c89a14a09c47cc23a22c36267442f4dbbdbb25cee769daae3b028c9');
INSERT INTO "card_event" VALUES(43,1,44,'demo-113900','sign','2025-10-18 11:39:00.000000','267fa1bc7d43c24d993b7f3b33e3d7d27bb36b71b127910eeb90a7f16de7d86d');
INSERT INTO "card_event" VALUES(44,2,2,'demo-084300','conditions','2026-11-19 08:43:00.000000','8f1c2dc9499cfa617dd9f61660e2b70f73b2789911bcb14eebf84302b8b96c6b');
INSERT INTO "card_event" VALUES(45,2,3,'demo-084600','safety power True','2026-11-19 08:46:00.000000','d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b');
INSERT INTO "card_event" VALUES(46,2,4,'demo-084900','safety stand True','2026-11-19 08:49:00.000000','0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334');
INSERT INTO "card_event" VALUES(47,2,5,'demo-085200','safety fuel True','2026-11-19 08:52:00.000000','5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d');
INSERT INTO "card_event" VALUES(48,2,6,'demo-085500','safety hands True','2026-11-19 08:55:00.000000','375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592');
INSERT INTO "card_event" VALUES(49,2,7,'demo-085800','safety clean True','2026-11-19 08:58:00.000000','817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba');
INSERT INTO "card_event" VALUES(50,2,8,'demo-090100','safety plug True','2026-11-19 09:01:00.000000','ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b');
INSERT INTO "card_event" VALUES(51,2,9,'demo-090400','safety plugs-out True','2026-11-19 09:04:00.000000','e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7');
INSERT INTO "card_event" VALUES(52,2,10,'demo-090700','safety direction True','2026-11-19 09:07:00.000000','1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9');
INSERT INTO "card_event" VALUES(53,2,11,'demo-091000','found 1 EX L 28','2026-11-19 09:10:00.000000','4cf6e59fcdfd2d6fc5707d1d68bbb6fa78247c31e664c9ff2904e26d5423da56');
INSERT INTO "card_event" VALUES(54,2,12,'demo-091300','found 1 EX R 25-28','2026-11-19 09:13:00.000000','3e81f76d28f6d076eb3b7e0c2317acc19223f53b032dd6200e1d855b6d33642d');
INSERT INTO "card_event" VALUES(55,2,13,'demo-091600','found 2 IN L 15-18','2026-11-19 09:16:00.000000','376dc3172b5488a8c12b017e27c6939760bef7f2f82c654b326c1586fe44b8b7');
INSERT INTO "card_event" VALUES(56,2,14,'demo-091900','found 2 IN R 15','2026-11-19 09:19:00.000000','264ef90f3cf4c16431ae1301af0f6883e1f992e3683662f84234825753d7a19d');
INSERT INTO "card_event" VALUES(57,3,2,'demo-084300','conditions','2026-11-20 08:43:00.000000','f9b757fd9ad7d2ae64fae15e5947706e56c2751980c0a69219c64f48023e496a');
INSERT INTO "card_event" VALUES(58,3,3,'demo-084600','safety power True','2026-11-20 08:46:00.000000','d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b');
INSERT INTO "card_event" VALUES(59,3,4,'demo-084900','safety stand True','2026-11-20 08:49:00.000000','0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334');
INSERT INTO "card_event" VALUES(60,3,5,'demo-085200','safety fuel True','2026-11-20 08:52:00.000000','5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d');
INSERT INTO "card_event" VALUES(61,3,6,'demo-085500','safety hands True','2026-11-20 08:55:00.000000','375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592');
INSERT INTO "card_event" VALUES(62,3,7,'demo-085800','safety clean True','2026-11-20 08:58:00.000000','817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba');
INSERT INTO "card_event" VALUES(63,3,8,'demo-090100','safety plug True','2026-11-20 09:01:00.000000','ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b');
INSERT INTO "card_event" VALUES(64,3,9,'demo-090400','safety plugs-out True','2026-11-20 09:04:00.000000','e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7');
INSERT INTO "card_event" VALUES(65,3,10,'demo-090700','safety direction True','2026-11-20 09:07:00.000000','1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9');
INSERT INTO "card_event" VALUES(66,3,11,'demo-091000','tray','2026-11-20 09:10:00.000000','779b39466754f787278b690391eb1ffa18becbd1f05ba507f12972d9926bcfe6');
INSERT INTO "card_event" VALUES(67,3,12,'demo-091300','found 1 IN L 15','2026-11-20 09:13:00.000000','4cb289c82ceac76dbff1d995e3da379e2651d60fc1b0ebe0bb2c31cf1aaddd6c');
INSERT INTO "card_event" VALUES(68,3,13,'demo-091600','found 1 IN R 13-15','2026-11-20 09:16:00.000000','3c42376b8d72756859dd55062c836e1b751421cae4fdb9ce24258a6941d86a13');
INSERT INTO "card_event" VALUES(69,3,14,'demo-091900','found 1 EX L 23','2026-11-20 09:19:00.000000','d01aed9f217f49f904fe33bb505a5c099502e464f2be1d5e82db0f4525cf264f');
INSERT INTO "card_event" VALUES(70,3,15,'demo-092200','found 1 EX R 18-20','2026-11-20 09:22:00.000000','e96d375b63ec3fa59ecb58f13bbd44b0db22bb9f52924113c38c34340e57ffc3');
INSERT INTO "card_event" VALUES(71,3,16,'demo-092500','found 2 IN L 13','2026-11-20 09:25:00.000000','9393d746d0b3fd991b248b2884c69e9dea150816071ccaa7d6cc28b4c7c9c4e9');
INSERT INTO "card_event" VALUES(72,3,17,'demo-092800','found 2 IN R 8-10','2026-11-20 09:28:00.000000','3964531e05d8510d124c56a2484b4cba435e666f2ac9b57e5c2c17d7d7dde120');
INSERT INTO "card_event" VALUES(73,3,18,'demo-093100','found 2 EX L 25','2026-11-20 09:31:00.000000','1aff68a1ca49a287d16336ba2081710af53071da86fbae30cc8dbea7a41e0ea0');
INSERT INTO "card_event" VALUES(74,3,19,'demo-093400','found 2 EX R x','2026-11-20 09:34:00.000000','b8a7c1c30b3c535cc0af20fc55861e8e6692e1edf608598830e9c5e607d04000');
INSERT INTO "card_event" VALUES(75,3,20,'demo-093700','found 3 IN L 23','2026-11-20 09:37:00.000000','6a17874b67d02e9ef854a6e68e8a79ffc44081eb6752e0a39eaf1c02837bb03d');
INSERT INTO "card_event" VALUES(76,3,21,'demo-094000','found 3 IN R 15','2026-11-20 09:40:00.000000','6e7004fec4733f3cee431ad82dc83350422056e6bbbc425c4e936ee32f97f58d');
INSERT INTO "card_event" VALUES(77,3,22,'demo-094300','found 3 EX L 23-25','2026-11-20 09:43:00.000000','7504326acdd974209e3b333ae85572d4afbbc68510a30235121204d4f553efb4');
INSERT INTO "card_event" VALUES(78,3,23,'demo-094600','found 3 EX R 28','2026-11-20 09:46:00.000000','76e43c3c9d4091fed94b936c92d44f4e4724758495d26510792865eac30c2a34');
INSERT INTO "card_event" VALUES(79,3,24,'demo-094900','piece 1 EX R 255 2.548','2026-11-20 09:49:00.000000','78c33ae336c414e7c9d8a397f86953d3a83df9919be0beb40ac7833d7efa5830');
INSERT INTO "card_event" VALUES(80,3,25,'demo-095200','piece 2 IN R 2475 2.472','2026-11-20 09:52:00.000000','99f9bc75c5dd688f201e97d2781b8c9e03f9c6899a5f3b25bfa7f9f2411aaddc');
INSERT INTO "card_event" VALUES(81,3,26,'demo-095500','piece 2 EX R 260 2.596 2.597','2026-11-20 09:55:00.000000','e1a255cb226003a02d8beea0e4a65e02ee9bbd78dc6d2f94491d757747e68a55');
INSERT INTO "card_event" VALUES(82,3,27,'demo-095800','piece 3 IN L 240 2.371','2026-11-20 09:58:00.000000','11002be066cd7fdc2ef23c7f758b711145b54941304cd1b07b199ca7624df00c');
INSERT INTO "card_event" VALUES(83,3,28,'demo-100100','piece 1 IN L 245 2.448','2026-11-20 10:01:00.000000','22901e2823a7f6b3b4e1cdfdfac42915da71f68eddfe5b751fd08371d4ad762c');
INSERT INTO "card_event" VALUES(84,3,29,'demo-100400','piece 2 IN L 2425 2.423','2026-11-20 10:04:00.000000','f3091be1236a553bb500f77e11d658165f6cbeac0cc81c247fbaabe9b9e17fe0');
INSERT INTO "card_event" VALUES(85,3,30,'demo-100700','piece 3 IN R ?? 2.448','2026-11-20 10:07:00.000000','8eb4f12b488986b05dec3be2e4ca06d97553b478ea727f2bd679b8b41487e09a');
INSERT INTO "card_event" VALUES(86,3,31,'demo-101000','piece 1 EX L 255 2.549','2026-11-20 10:10:00.000000','4fe7716343efe0c46998abc8aff2bf1e475cc9edc0f022db5e91df90144133ea');
INSERT INTO "card_event" VALUES(87,3,32,'demo-101300','piece 2 EX L 2525 2.522','2026-11-20 10:13:00.000000','4e46c4d394380c5f590ded1f1f8204f59c750ff1b667568b41997011a3ca9535');
INSERT INTO "card_event" VALUES(88,3,33,'demo-101600','piece 3 EX R 250 2.501','2026-11-20 10:16:00.000000','6c880809fa511cfdbf10257b444eddf703e56f6cafdd00ab5f067400502fffe8');
INSERT INTO "card_event" VALUES(89,4,2,'demo-084300','conditions','2026-11-22 08:43:00.000000','48c4cb5a390a99cd9bb73066db1ca97dc213c5cdad77a0f8b429f47d7ea842fc');
INSERT INTO "card_event" VALUES(90,4,3,'demo-084600','safety power True','2026-11-22 08:46:00.000000','d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b');
INSERT INTO "card_event" VALUES(91,4,4,'demo-084900','safety stand True','2026-11-22 08:49:00.000000','0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334');
INSERT INTO "card_event" VALUES(92,4,5,'demo-085200','safety fuel True','2026-11-22 08:52:00.000000','5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d');
INSERT INTO "card_event" VALUES(93,4,6,'demo-085500','safety hands True','2026-11-22 08:55:00.000000','375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592');
INSERT INTO "card_event" VALUES(94,4,7,'demo-085800','safety clean True','2026-11-22 08:58:00.000000','817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba');
INSERT INTO "card_event" VALUES(95,4,8,'demo-090100','safety plug True','2026-11-22 09:01:00.000000','ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b');
INSERT INTO "card_event" VALUES(96,4,9,'demo-090400','safety plugs-out True','2026-11-22 09:04:00.000000','e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7');
INSERT INTO "card_event" VALUES(97,4,10,'demo-090700','safety direction True','2026-11-22 09:07:00.000000','1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9');
INSERT INTO "card_event" VALUES(98,4,11,'demo-091000','tray','2026-11-22 09:10:00.000000','779b39466754f787278b690391eb1ffa18becbd1f05ba507f12972d9926bcfe6');
INSERT INTO "card_event" VALUES(99,4,12,'demo-091300','found 1 IN L 12','2026-11-22 09:13:00.000000','649df2718c0e16fb130b1d28d20a8f3f6668791bb4ad0a954a37542860f4f0d9');
INSERT INTO "card_event" VALUES(100,4,13,'demo-091600','found 1 IN R 7','2026-11-22 09:16:00.000000','778f027745c84ab63b653e46b6b326e2fa3671ac6270e5b92ae9fd818a13393f');
INSERT INTO "card_event" VALUES(101,4,14,'demo-091900','found 1 EX L 25','2026-11-22 09:19:00.000000','b9d3748e8a76448bfab502b1dd37f3395e1ef4b736f14d9a943d876158d9c374');
INSERT INTO "card_event" VALUES(102,4,15,'demo-092200','found 1 EX R 15-18','2026-11-22 09:22:00.000000','1c3db953260091c71af333e88f0a1820a2aa9ffe09e67220bcb3db118ebfa598');
INSERT INTO "card_event" VALUES(103,4,16,'demo-092500','found 2 IN L 13','2026-11-22 09:25:00.000000','9393d746d0b3fd991b248b2884c69e9dea150816071ccaa7d6cc28b4c7c9c4e9');
INSERT INTO "card_event" VALUES(104,4,17,'demo-092800','found 2 IN R 8','2026-11-22 09:28:00.000000','69df3829e2d57dfc099d300e679de8e00ea0cf01649663030ef895dae835da8c');
INSERT INTO "card_event" VALUES(105,4,18,'demo-093100','found 2 EX L 20','2026-11-22 09:31:00.000000','616a36e62a91a90d5c411e8b9402b9b19c9243df8257a721f2cd6408b782a542');
INSERT INTO "card_event" VALUES(106,4,19,'demo-093400','found 2 EX R 23-25','2026-11-22 09:34:00.000000','449d72a6c2a9c3b81d4dfcf56f35977398e4af6076efd8cf1f5473045a55b9d4');
INSERT INTO "card_event" VALUES(107,4,20,'demo-093700','piece 1 IN R 260 2.602','2026-11-22 09:37:00.000000','953243a3fde1684d13afe599e31d997b9f1bc2e43e33880fe49cc07cc0dfba46');
INSERT INTO "card_event" VALUES(108,4,21,'demo-094000','piece 1 EX R 264 2.641','2026-11-22 09:40:00.000000','b4062d30036591b4f99404e69e09984f6ff085de6c36e0d3393fdd5939b72b75');
INSERT INTO "card_event" VALUES(109,4,22,'demo-094300','piece 2 IN R 252 2.520','2026-11-22 09:43:00.000000','fd1cb48025e1ae06ce5857f96959d952df5088a02acdeb28fd86104ed90038fd');
INSERT INTO "card_event" VALUES(110,4,23,'demo-094600','piece 2 EX L 256 2.561','2026-11-22 09:46:00.000000','204307a35172051472d6c70946576f9b6033bd5dd92fb834b95840968a64c81a');
INSERT INTO "card_event" VALUES(111,4,24,'demo-094900','variant only-new','2026-11-22 09:49:00.000000','873dc1c52cfe5f38fe1e1171579d702e02ccb2dcc798372ac414ea14e2666e87');
INSERT INTO "card_event" VALUES(112,4,25,'demo-095200','take plan','2026-11-22 09:52:00.000000','1ef0cc017268f40a7dd6bbbe66191cf494cc49929e9547a981094c19f3e14d3f');
INSERT INTO "card_event" VALUES(113,4,26,'demo-095500','bolts Cam caps','2026-11-22 09:55:00.000000','3445150e51c4ab24a461b0c801723137458ef5f2c2834bbfc4224c9d9aae8f80');
INSERT INTO "card_event" VALUES(114,4,27,'demo-095800','turned Cam caps 17','2026-11-22 09:58:00.000000','ac6766b0c79c5fff1bb93bf7f71b913124bafc49a855548042d85b0325a4be8f');
INSERT INTO "card_event" VALUES(115,4,28,'demo-100100','fit 1 IN R True','2026-11-22 10:01:00.000000','543eb082aee3a36bb5cff844095106bea7b748a90ca720665f11fa05016b6f54');
INSERT INTO "card_event" VALUES(116,4,29,'demo-100400','fit 1 EX R True','2026-11-22 10:04:00.000000','118509332b86890869a78bb9e3bff41e09d5b3325ffba8da384a21811122720f');
INSERT INTO "card_event" VALUES(117,4,30,'demo-100700','fit 2 IN R True','2026-11-22 10:07:00.000000','6061d2dcc8a936f87ff68fa74cfb05ef631c2487740e1d43de0d1ace3d602271');
INSERT INTO "card_event" VALUES(118,4,31,'demo-101000','fit 2 EX L True','2026-11-22 10:10:00.000000','8217f2edc0a1a14fee06bda91b0ac085a63d1b7ed2ace658aa07bbae014f1f59');
INSERT INTO "card_event" VALUES(119,4,32,'demo-101300','turns 2','2026-11-22 10:13:00.000000','fdc69c5197588c8d8f2379d4e853ef1615bb8141876d47e366e74f3e962ca8ea');
INSERT INTO "card_event" VALUES(120,4,33,'demo-101600','proof 1 IN R 18-20','2026-11-22 10:16:00.000000','34b4a8ddb72c51cd4578f41b31314bed101feffa3f4e8bdbefbb2417d6d7986d');
INSERT INTO "card_event" VALUES(121,4,34,'demo-101900','proof 1 EX R 23-25','2026-11-22 10:19:00.000000','d7b6c65eb69ec21b37997ee87518958048595c3873fb14c8035927adbc11942a');
INSERT INTO "card_event" VALUES(122,4,35,'demo-102200','proof 2 IN R 8','2026-11-22 10:22:00.000000','5eb6f7f06a5ec112b34d9022a1c342cc4ab21b034780a891cb9e5240d789b845');
INSERT INTO "card_event" VALUES(123,4,36,'demo-102500','proof 2 EX L 23-25','2026-11-22 10:25:00.000000','1aed490430fd55d31bfae7bb890017c0325f2ed36412306f6bd8446e1a459a5b');
INSERT INTO "card_event" VALUES(124,4,37,'demo-102800','proof 1 IN L 12','2026-11-22 10:28:00.000000','70d52039c4cdf276bc94319a3eef293ce73af4105c98df02ca6f2e84bd614dc5');
INSERT INTO "card_event" VALUES(125,4,38,'demo-103100','proof 1 EX L 25','2026-11-22 10:31:00.000000','73a3ff20097b6c874ae711d712fac1db72414fbf4cef3657f0dec593d2b8a4da');
CREATE TABLE change (
	id INTEGER NOT NULL, 
	entry_id INTEGER NOT NULL, 
	"of" VARCHAR NOT NULL, 
	"row" INTEGER NOT NULL, 
	old VARCHAR, 
	new VARCHAR, 
	CONSTRAINT pk_change PRIMARY KEY (id)
);
INSERT INTO "change" VALUES(1,1,'shop',1,NULL,'{"id":1,"name":"Ostrel Hill Climb School","thinnest_blade_nm":30000,"aim":"loose","rounding":"nearest","act":"out","hand_turns":2,"wrench":"N·m","round_cost":null,"sure":90,"hand_nm":null,"keep_days":7,"keep_weeks":4,"keep_months":12}');
INSERT INTO "change" VALUES(2,2,'blade_set',1,NULL,'{"id":1,"name":"Bench set","stacking":1,"stacks":"[]"}');
INSERT INTO "change" VALUES(3,2,'blade',1,NULL,'{"id":1,"blade_set_id":1,"nominal_nm":30000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(4,2,'blade',2,NULL,'{"id":2,"blade_set_id":1,"nominal_nm":40000,"stamped_nm":null,"measured_nm":null,"state":"bent"}');
INSERT INTO "change" VALUES(5,2,'blade',3,NULL,'{"id":3,"blade_set_id":1,"nominal_nm":50000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(6,2,'blade',4,NULL,'{"id":4,"blade_set_id":1,"nominal_nm":60000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(7,2,'blade',5,NULL,'{"id":5,"blade_set_id":1,"nominal_nm":70000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(8,2,'blade',6,NULL,'{"id":6,"blade_set_id":1,"nominal_nm":80000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(9,2,'blade',7,NULL,'{"id":7,"blade_set_id":1,"nominal_nm":90000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(10,2,'blade',8,NULL,'{"id":8,"blade_set_id":1,"nominal_nm":100000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(11,2,'blade',9,NULL,'{"id":9,"blade_set_id":1,"nominal_nm":130000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(12,2,'blade',10,NULL,'{"id":10,"blade_set_id":1,"nominal_nm":150000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(13,2,'blade',11,NULL,'{"id":11,"blade_set_id":1,"nominal_nm":180000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(14,2,'blade',12,NULL,'{"id":12,"blade_set_id":1,"nominal_nm":200000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(15,2,'blade',13,NULL,'{"id":13,"blade_set_id":1,"nominal_nm":230000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(16,2,'blade',14,NULL,'{"id":14,"blade_set_id":1,"nominal_nm":250000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(17,2,'blade',15,NULL,'{"id":15,"blade_set_id":1,"nominal_nm":280000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(18,2,'blade',16,NULL,'{"id":16,"blade_set_id":1,"nominal_nm":300000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(19,2,'blade',17,NULL,'{"id":17,"blade_set_id":1,"nominal_nm":330000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(20,2,'blade',18,NULL,'{"id":18,"blade_set_id":1,"nominal_nm":350000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(21,2,'blade',19,NULL,'{"id":19,"blade_set_id":1,"nominal_nm":380000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(22,2,'blade',20,NULL,'{"id":20,"blade_set_id":1,"nominal_nm":400000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(23,2,'blade',21,NULL,'{"id":21,"blade_set_id":1,"nominal_nm":450000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(24,2,'blade',22,NULL,'{"id":22,"blade_set_id":1,"nominal_nm":500000,"stamped_nm":null,"measured_nm":null,"state":"sound"}');
INSERT INTO "change" VALUES(25,3,'engine',1,NULL,'{"id":1,"label":"No. 3 · Ollerby Trefoil","note":"Trainer for the upper course; noisy since the autumn"}');
INSERT INTO "change" VALUES(26,3,'engine_revision',1,NULL,'{"id":1,"engine_id":1,"number":1,"document":"{\"format\": \"plimb-engine\", \"version\": 1, \"unit\": \"mm\",\n \"engine\": {\n   \"name\": \"Ollerby Trefoil 795\",\n   \"source\": \"Ostrel workshop book, page 41\",\n   \"follower\": \"bucket-under\",\n   \"crank\": {\"rotation\": \"clockwise\", \"cylinders\": [\n     {\"number\": 1, \"fires_at\": 0}, {\"number\": 2, \"fires_at\": 240}, {\"number\": 3, \"fires_at\": 480}]},\n   \"camshafts\": [{\"id\": \"IN\", \"side\": \"intake\"}, {\"id\": \"EX\", \"side\": \"exhaust\"}],\n   \"valves\": [\n     {\"id\": \"1 IN L\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"IN\"},\n     {\"id\": \"1 IN R\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"IN\"},\n     {\"id\": \"1 EX L\", \"cylinder\": 1, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"EX\"},\n     {\"id\": \"1 EX R\", \"cylinder\": 1, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"EX\"},\n     {\"id\": \"2 IN L\", \"cylinder\": 2, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"IN\"},\n     {\"id\": \"2 IN R\", \"cylinder\": 2, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"IN\"},\n     {\"id\": \"2 EX L\", \"cylinder\": 2, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"EX\"},\n     {\"id\": \"2 EX R\", \"cylinder\": 2, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"EX\"},\n     {\"id\": \"3 IN L\", \"cylinder\": 3, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"IN\"},\n     {\"id\": \"3 IN R\", \"cylinder\": 3, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"IN\"},\n     {\"id\": \"3 EX L\", \"cylinder\": 3, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"EX\"},\n     {\"id\": \"3 EX R\", \"cylinder\": 3, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"EX\"}],\n   \"spec\": {\"intake\": {\"min\": 0.11, \"max\": 0.20}, \"exhaust\": {\"min\": 0.22, \"max\": 0.30}},\n   \"family\": {\"diameter\": 8.9, \"runs\": [{\"from\": 1.2, \"to\": 3.0, \"step\": 0.025}], \"price\": 8.2},\n   \"layout\": {\"crank\": \"across\", \"banks\": [{\"id\": \"head\", \"cylinders\": [1, 2, 3], \"intake\": \"rear\"}]}}}\n","recorded_at":"2025-09-18 09:30:00.000000"}');
INSERT INTO "change" VALUES(27,3,'shim_family',1,NULL,'{"id":1,"name":"8.90 mm","diameter_nm":8900000,"runs":"[[1200000, 3000000, 25000]]","code":"auto","price":"8.2","kit_price":null,"kit_each":3,"supplier":"","low_stock":0,"swap_price":null,"to_order":"[]","wait_days":null,"version":1}');
INSERT INTO "change" VALUES(28,4,'engine',2,NULL,'{"id":2,"label":"No. 8 · Tindle Pentad","note":"Gravel single, five valves; checked each season"}');
INSERT INTO "change" VALUES(29,4,'engine_revision',2,NULL,'{"id":2,"engine_id":2,"number":1,"document":"{\"format\": \"plimb-engine\", \"version\": 1, \"unit\": \"mm\",\n \"engine\": {\n   \"name\": \"Tindle Pentad 449\",\n   \"source\": \"Ostrel workshop book, page 12\",\n   \"follower\": \"bucket-under\",\n   \"crank\": {\"rotation\": \"anticlockwise\", \"cylinders\": [{\"number\": 1, \"fires_at\": 0}]},\n   \"camshafts\": [{\"id\": \"IN\", \"side\": \"intake\"}, {\"id\": \"EX\", \"side\": \"exhaust\"}],\n   \"valves\": [\n     {\"id\": \"IN L\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"IN\"},\n     {\"id\": \"IN C\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"centre\", \"camshaft\": \"IN\"},\n     {\"id\": \"IN R\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"IN\"},\n     {\"id\": \"EX L\", \"cylinder\": 1, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"EX\"},\n     {\"id\": \"EX R\", \"cylinder\": 1, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"EX\"}],\n   \"spec\": {\"intake\": {\"min\": 0.10, \"max\": 0.15}, \"exhaust\": {\"min\": 0.17, \"max\": 0.22}},\n   \"family\": {\"diameter\": 7.48, \"runs\": [{\"from\": 1.2, \"to\": 2.4, \"step\": 0.05}], \"price\": 7.4},\n   \"layout\": {\"crank\": \"across\", \"banks\": [{\"id\": \"head\", \"cylinders\": [1], \"intake\": \"rear\"}]}}}\n","recorded_at":"2025-09-18 09:30:00.000000"}');
INSERT INTO "change" VALUES(30,4,'shim_family',2,NULL,'{"id":2,"name":"7.48 mm","diameter_nm":7480000,"runs":"[[1200000, 2400000, 50000]]","code":"auto","price":"7.4","kit_price":null,"kit_each":3,"supplier":"","low_stock":0,"swap_price":null,"to_order":"[]","wait_days":null,"version":1}');
INSERT INTO "change" VALUES(31,5,'engine',3,NULL,'{"id":3,"label":"No. 5 · Varrow Quartet","note":"The instructors'' V-four"}');
INSERT INTO "change" VALUES(32,5,'engine_revision',3,NULL,'{"id":3,"engine_id":3,"number":1,"document":"{\"format\": \"plimb-engine\", \"version\": 1, \"unit\": \"mm\",\n \"engine\": {\n   \"name\": \"Varrow Quartet 998\",\n   \"source\": \"Ostrel workshop book, page 63\",\n   \"follower\": \"bucket-under\",\n   \"crank\": {\"rotation\": \"clockwise\", \"cylinders\": [\n     {\"number\": 1, \"fires_at\": 0}, {\"number\": 3, \"fires_at\": 180},\n     {\"number\": 2, \"fires_at\": 450}, {\"number\": 4, \"fires_at\": 630}]},\n   \"camshafts\": [\n     {\"id\": \"front IN\", \"side\": \"intake\"}, {\"id\": \"front EX\", \"side\": \"exhaust\"},\n     {\"id\": \"rear IN\", \"side\": \"intake\"}, {\"id\": \"rear EX\", \"side\": \"exhaust\"}],\n   \"valves\": [\n     {\"id\": \"1 IN L\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"rear IN\"},\n     {\"id\": \"1 IN R\", \"cylinder\": 1, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"rear IN\"},\n     {\"id\": \"1 EX L\", \"cylinder\": 1, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"rear EX\"},\n     {\"id\": \"1 EX R\", \"cylinder\": 1, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"rear EX\"},\n     {\"id\": \"2 IN L\", \"cylinder\": 2, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"front IN\"},\n     {\"id\": \"2 IN R\", \"cylinder\": 2, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"front IN\"},\n     {\"id\": \"2 EX L\", \"cylinder\": 2, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"front EX\"},\n     {\"id\": \"2 EX R\", \"cylinder\": 2, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"front EX\"},\n     {\"id\": \"3 IN L\", \"cylinder\": 3, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"rear IN\"},\n     {\"id\": \"3 IN R\", \"cylinder\": 3, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"rear IN\"},\n     {\"id\": \"3 EX L\", \"cylinder\": 3, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"rear EX\"},\n     {\"id\": \"3 EX R\", \"cylinder\": 3, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"rear EX\"},\n     {\"id\": \"4 IN L\", \"cylinder\": 4, \"side\": \"intake\", \"position\": \"left\", \"camshaft\": \"front IN\"},\n     {\"id\": \"4 IN R\", \"cylinder\": 4, \"side\": \"intake\", \"position\": \"right\", \"camshaft\": \"front IN\"},\n     {\"id\": \"4 EX L\", \"cylinder\": 4, \"side\": \"exhaust\", \"position\": \"left\", \"camshaft\": \"front EX\"},\n     {\"id\": \"4 EX R\", \"cylinder\": 4, \"side\": \"exhaust\", \"position\": \"right\", \"camshaft\": \"front EX\"}],\n   \"spec\": {\n     \"intake\": {\"min\": 0.14, \"max\": 0.20},\n     \"exhaust\": {\"min\": 0.24, \"max\": 0.34, \"set_min\": 0.27, \"set_max\": 0.33, \"aim\": 0.30}},\n   \"family\": {\"diameter\": 9.2, \"runs\": [{\"from\": 1.2, \"to\": 3.5, \"step\": 0.05}], \"price\": 8.6},\n   \"layout\": {\"crank\": \"across\", \"banks\": [\n     {\"id\": \"front\", \"cylinders\": [2, 4], \"intake\": \"rear\"},\n     {\"id\": \"rear\", \"cylinders\": [1, 3], \"intake\": \"front\"}]}}}\n","recorded_at":"2025-09-18 09:30:00.000000"}');
INSERT INTO "change" VALUES(33,5,'shim_family',3,NULL,'{"id":3,"name":"9.20 mm","diameter_nm":9200000,"runs":"[[1200000, 3500000, 50000]]","code":"auto","price":"8.6","kit_price":null,"kit_each":3,"supplier":"","low_stock":0,"swap_price":null,"to_order":"[]","wait_days":null,"version":1}');
INSERT INTO "change" VALUES(34,6,'engine',4,NULL,'{"id":4,"label":"No. 11 · Corrie Offbeat","note":"Parallel twin, 270 degrees, for the road class"}');
INSERT INTO "change" VALUES(35,6,'engine_revision',4,NULL,'{"id":4,"engine_id":4,"number":1,"document":"{\n \"format\": \"plimb-engine\",\n \"version\": 1,\n \"unit\": \"mm\",\n \"engine\": {\n  \"name\": \"Corrie Offbeat 690\",\n  \"source\": \"Ostrel workshop book\",\n  \"page\": \"77\",\n  \"follower\": \"bucket-under\",\n  \"camshaft_out\": true,\n  \"crank\": {\n   \"rotation\": \"clockwise\",\n   \"cylinders\": [\n    {\n     \"number\": 1,\n     \"fires_at\": 0\n    },\n    {\n     \"number\": 2,\n     \"fires_at\": 270\n    }\n   ],\n   \"marks\": [\n    {\n     \"name\": \"I\",\n     \"degrees\": 0,\n     \"cue\": \"left pair of lobes up and outwards\",\n     \"count\": \"19 pins from the arrow on the exhaust wheel to the one on the intake wheel\",\n     \"valves\": [\n      \"1 IN L\",\n      \"1 IN R\",\n      \"1 EX L\",\n      \"1 EX R\"\n     ]\n    },\n    {\n     \"name\": \"II\",\n     \"degrees\": 270,\n     \"cue\": \"right pair of lobes up and outwards\",\n     \"valves\": [\n      \"2 IN L\",\n      \"2 IN R\",\n      \"2 EX L\",\n      \"2 EX R\"\n     ]\n    }\n   ]\n  },\n  \"camshafts\": [\n   {\n    \"id\": \"IN\",\n    \"side\": \"intake\"\n   },\n   {\n    \"id\": \"EX\",\n    \"side\": \"exhaust\"\n   }\n  ],\n  \"valves\": [\n   {\n    \"id\": \"1 IN L\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"1 IN R\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"1 EX L\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"1 EX R\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"2 IN L\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"2 IN R\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"2 EX L\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"2 EX R\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   }\n  ],\n  \"spec\": {\n   \"intake\": {\n    \"min\": 0.1,\n    \"max\": 0.17\n   },\n   \"exhaust\": {\n    \"min\": 0.22,\n    \"max\": 0.29\n   }\n  },\n  \"family\": {\n   \"diameter\": 8.9,\n   \"runs\": [\n    {\n     \"from\": 1.6,\n     \"to\": 3.2,\n     \"step\": 0.04\n    }\n   ],\n   \"price\": 7.9\n  },\n  \"layout\": {\n   \"crank\": \"across\",\n   \"banks\": [\n    {\n     \"id\": \"head\",\n     \"cylinders\": [\n      1,\n      2\n     ],\n     \"intake\": \"rear\"\n    }\n   ]\n  },\n  \"events\": {\n   \"intake\": {\n    \"opens_btdc\": 20,\n    \"closes_abdc\": 60\n   },\n   \"exhaust\": {\n    \"opens_bbdc\": 60,\n    \"closes_atdc\": 20\n   },\n   \"ramp\": 20\n  },\n  \"owner\": \"The school, road class\",\n  \"plate\": \"OHC 11\",\n  \"counter\": \"km\",\n  \"interval\": 12000,\n  \"caps\": \"IN 1 to IN 4 and EX 1 to EX 4, arrows to the chain\",\n  \"tensioner\": \"Spring kind: centre screw out first, while it is bolted on; back in last\",\n  \"tools\": [\n   \"Long 8 mm socket for the cover\",\n   \"Crank socket 17 mm\"\n  ],\n  \"parts\": [\n   {\n    \"what\": \"Cover gasket\",\n    \"number\": \"OH-1120\",\n    \"count\": 1,\n    \"price\": 14.5\n   },\n   {\n    \"what\": \"Plug-hole seals\",\n    \"number\": \"OH-1133\",\n    \"count\": 2,\n    \"price\": 3.2\n   },\n   {\n    \"what\": \"Sealant, at both half moons\",\n    \"number\": \"OH-9\",\n    \"count\": 1,\n    \"price\": null\n   }\n  ],\n  \"notes\": {\n   \"fit\": \"The left intake cap binds: tap it home by hand before the bolts.\"\n  }\n }\n}\n","recorded_at":"2025-09-18 09:30:00.000000"}');
INSERT INTO "change" VALUES(36,7,'engine',5,NULL,'{"id":5,"label":"No. 2 · Halvern Six outfit","note":"Straight six with the observers'' sidecar"}');
INSERT INTO "change" VALUES(37,7,'engine_revision',5,NULL,'{"id":5,"engine_id":5,"number":1,"document":"{\n \"format\": \"plimb-engine\",\n \"version\": 1,\n \"unit\": \"mm\",\n \"engine\": {\n  \"name\": \"Halvern Six 1640\",\n  \"source\": \"Ostrel workshop book\",\n  \"page\": \"90\",\n  \"follower\": \"bucket-over\",\n  \"camshaft_out\": false,\n  \"crank\": {\n   \"rotation\": \"clockwise\",\n   \"cylinders\": [\n    {\n     \"number\": 1,\n     \"fires_at\": 0\n    },\n    {\n     \"number\": 2,\n     \"fires_at\": 480\n    },\n    {\n     \"number\": 3,\n     \"fires_at\": 240\n    },\n    {\n     \"number\": 4,\n     \"fires_at\": 600\n    },\n    {\n     \"number\": 5,\n     \"fires_at\": 120\n    },\n    {\n     \"number\": 6,\n     \"fires_at\": 360\n    }\n   ],\n   \"marks\": []\n  },\n  \"camshafts\": [\n   {\n    \"id\": \"IN\",\n    \"side\": \"intake\"\n   },\n   {\n    \"id\": \"EX\",\n    \"side\": \"exhaust\"\n   }\n  ],\n  \"valves\": [\n   {\n    \"id\": \"1 IN L\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"1 IN R\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"1 EX L\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"1 EX R\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"2 IN L\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"2 IN R\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"2 EX L\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"2 EX R\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"3 IN L\",\n    \"cylinder\": 3,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"3 IN R\",\n    \"cylinder\": 3,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"3 EX L\",\n    \"cylinder\": 3,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"3 EX R\",\n    \"cylinder\": 3,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"4 IN L\",\n    \"cylinder\": 4,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"4 IN R\",\n    \"cylinder\": 4,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"4 EX L\",\n    \"cylinder\": 4,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"4 EX R\",\n    \"cylinder\": 4,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"5 IN L\",\n    \"cylinder\": 5,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"5 IN R\",\n    \"cylinder\": 5,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"5 EX L\",\n    \"cylinder\": 5,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"5 EX R\",\n    \"cylinder\": 5,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"6 IN L\",\n    \"cylinder\": 6,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"6 IN R\",\n    \"cylinder\": 6,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"6 EX L\",\n    \"cylinder\": 6,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"6 EX R\",\n    \"cylinder\": 6,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   }\n  ],\n  \"spec\": {\n   \"intake\": {\n    \"min\": 0.15,\n    \"max\": 0.24\n   },\n   \"exhaust\": {\n    \"min\": 0.23,\n    \"max\": 0.32\n   }\n  },\n  \"family\": {\n   \"diameter\": 29.5,\n   \"runs\": [\n    {\n     \"from\": 2.0,\n     \"to\": 3.3,\n     \"step\": 0.05\n    }\n   ],\n   \"price\": 9.1\n  },\n  \"layout\": {\n   \"crank\": \"across\",\n   \"banks\": [\n    {\n     \"id\": \"head\",\n     \"cylinders\": [\n      1,\n      2,\n      3,\n      4,\n      5,\n      6\n     ],\n     \"intake\": \"rear\"\n    }\n   ]\n  },\n  \"events\": {\n   \"intake\": {\n    \"opens_btdc\": 20,\n    \"closes_abdc\": 60\n   },\n   \"exhaust\": {\n    \"opens_bbdc\": 60,\n    \"closes_atdc\": 20\n   },\n   \"ramp\": 20\n  }\n }\n}\n","recorded_at":"2025-09-18 09:30:00.000000"}');
INSERT INTO "change" VALUES(38,7,'shim_family',4,NULL,'{"id":4,"name":"29.50 mm","diameter_nm":29500000,"runs":"[[2000000, 3300000, 50000]]","code":"auto","price":"9.1","kit_price":null,"kit_each":3,"supplier":"","low_stock":0,"swap_price":null,"to_order":"[]","wait_days":null,"version":1}');
INSERT INTO "change" VALUES(39,8,'engine',6,NULL,'{"id":6,"label":"No. 9 · Sandrelle Elle","note":"L-twin that closes its own valves"}');
INSERT INTO "change" VALUES(40,8,'engine_revision',6,NULL,'{"id":6,"engine_id":6,"number":1,"document":"{\n \"format\": \"plimb-engine\",\n \"version\": 1,\n \"unit\": \"mm\",\n \"engine\": {\n  \"name\": \"Sandrelle Elle 880\",\n  \"source\": \"Ostrel workshop book\",\n  \"page\": \"104\",\n  \"follower\": \"opener-closer\",\n  \"camshaft_out\": true,\n  \"crank\": {\n   \"rotation\": \"clockwise\",\n   \"cylinders\": [\n    {\n     \"number\": 1,\n     \"fires_at\": 0\n    },\n    {\n     \"number\": 2,\n     \"fires_at\": 270\n    }\n   ],\n   \"marks\": []\n  },\n  \"camshafts\": [\n   {\n    \"id\": \"horizontal CAM\"\n   },\n   {\n    \"id\": \"vertical CAM\"\n   }\n  ],\n  \"valves\": [\n   {\n    \"id\": \"1 IN L op\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"left\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"1 IN L cl\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"left\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"1 IN R op\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"right\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"1 IN R cl\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"right\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"1 EX L op\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"left\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"1 EX L cl\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"left\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"1 EX R op\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"right\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"1 EX R cl\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"horizontal CAM\",\n    \"position\": \"right\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"2 IN L op\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"left\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"2 IN L cl\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"left\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"2 IN R op\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"right\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"2 IN R cl\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"right\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"2 EX L op\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"left\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"2 EX L cl\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"left\",\n    \"action\": \"close\"\n   },\n   {\n    \"id\": \"2 EX R op\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"right\",\n    \"action\": \"open\"\n   },\n   {\n    \"id\": \"2 EX R cl\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"vertical CAM\",\n    \"position\": \"right\",\n    \"action\": \"close\"\n   }\n  ],\n  \"spec\": {\n   \"intake\": {\n    \"min\": 0.1,\n    \"max\": 0.15\n   },\n   \"exhaust\": {\n    \"min\": 0.12,\n    \"max\": 0.17\n   },\n   \"closer\": {\n    \"intake\": {\n     \"min\": 0.0,\n     \"max\": 0.05\n    },\n    \"exhaust\": {\n     \"min\": 0.0,\n     \"max\": 0.05\n    }\n   }\n  },\n  \"family\": {\n   \"diameter\": 7.0,\n   \"runs\": [\n    {\n     \"from\": 1.8,\n     \"to\": 4.5,\n     \"step\": 0.05\n    }\n   ],\n   \"price\": 9.6\n  },\n  \"layout\": {\n   \"crank\": \"across\",\n   \"banks\": [\n    {\n     \"id\": \"horizontal\",\n     \"cylinders\": [\n      1\n     ],\n     \"intake\": \"rear\"\n    },\n    {\n     \"id\": \"vertical\",\n     \"cylinders\": [\n      2\n     ],\n     \"intake\": \"front\"\n    }\n   ]\n  },\n  \"events\": {\n   \"intake\": {\n    \"opens_btdc\": 20,\n    \"closes_abdc\": 60\n   },\n   \"exhaust\": {\n    \"opens_bbdc\": 60,\n    \"closes_atdc\": 20\n   },\n   \"ramp\": 20\n  },\n  \"closer_family\": {\n   \"diameter\": 12.0,\n   \"runs\": [\n    {\n     \"from\": 5.0,\n     \"to\": 9.6,\n     \"step\": 0.05\n    }\n   ],\n   \"price\": 12.4\n  }\n }\n}\n","recorded_at":"2025-09-18 09:30:00.000000"}');
INSERT INTO "change" VALUES(41,8,'shim_family',5,NULL,'{"id":5,"name":"7.00 mm","diameter_nm":7000000,"runs":"[[1800000, 4500000, 50000]]","code":"auto","price":"9.6","kit_price":null,"kit_each":3,"supplier":"","low_stock":0,"swap_price":null,"to_order":"[]","wait_days":null,"version":1}');
INSERT INTO "change" VALUES(42,8,'shim_family',6,NULL,'{"id":6,"name":"12.00 mm","diameter_nm":12000000,"runs":"[[5000000, 9600000, 50000]]","code":"auto","price":"12.4","kit_price":null,"kit_each":3,"supplier":"","low_stock":0,"swap_price":null,"to_order":"[]","wait_days":null,"version":1}');
INSERT INTO "change" VALUES(43,9,'instrument',1,NULL,'{"id":1,"name":"Bench micrometer","doubt_nm":4000}');
INSERT INTO "change" VALUES(44,10,'instrument',2,NULL,'{"id":2,"name":"Calliper","doubt_nm":20000}');
INSERT INTO "change" VALUES(45,11,'shim_family',5,'{"price":"9.6","supplier":"","version":1}','{"price":"8.90","supplier":"Harbour Street counter","version":2}');
INSERT INTO "change" VALUES(46,12,'shim_family',2,'{"price":"7.4","kit_price":null,"supplier":"","version":1}','{"price":"7.40","kit_price":"68","supplier":"Harbour Street counter","version":2}');
INSERT INTO "change" VALUES(47,13,'shim',1,NULL,'{"id":1,"family_id":2,"marked":"170","marked_nm":1700000,"measured_nm":null,"thickness_nm":1700000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(48,13,'shim',2,NULL,'{"id":2,"family_id":2,"marked":"170","marked_nm":1700000,"measured_nm":null,"thickness_nm":1700000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(49,13,'shim',3,NULL,'{"id":3,"family_id":2,"marked":"175","marked_nm":1750000,"measured_nm":null,"thickness_nm":1750000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(50,13,'shim',4,NULL,'{"id":4,"family_id":2,"marked":"180","marked_nm":1800000,"measured_nm":null,"thickness_nm":1800000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(51,13,'shim',5,NULL,'{"id":5,"family_id":2,"marked":"185","marked_nm":1850000,"measured_nm":null,"thickness_nm":1850000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(52,13,'shim',6,NULL,'{"id":6,"family_id":2,"marked":"185","marked_nm":1850000,"measured_nm":null,"thickness_nm":1850000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(53,13,'shim',7,NULL,'{"id":7,"family_id":2,"marked":"185","marked_nm":1850000,"measured_nm":null,"thickness_nm":1850000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(54,13,'shim',8,NULL,'{"id":8,"family_id":2,"marked":"190","marked_nm":1900000,"measured_nm":null,"thickness_nm":1900000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(55,13,'shim',9,NULL,'{"id":9,"family_id":2,"marked":"190","marked_nm":1900000,"measured_nm":null,"thickness_nm":1900000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(56,13,'shim',10,NULL,'{"id":10,"family_id":2,"marked":"200","marked_nm":2000000,"measured_nm":null,"thickness_nm":2000000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(57,13,'shim_move',1,NULL,'{"id":1,"shim_id":1,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(58,13,'shim_move',2,NULL,'{"id":2,"shim_id":2,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(59,13,'shim_move',3,NULL,'{"id":3,"shim_id":3,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(60,13,'shim_move',4,NULL,'{"id":4,"shim_id":4,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(61,13,'shim_move',5,NULL,'{"id":5,"shim_id":5,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(62,13,'shim_move',6,NULL,'{"id":6,"shim_id":6,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(63,13,'shim_move',7,NULL,'{"id":7,"shim_id":7,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(64,13,'shim_move',8,NULL,'{"id":8,"shim_id":8,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(65,13,'shim_move',9,NULL,'{"id":9,"shim_id":9,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(66,13,'shim_move',10,NULL,'{"id":10,"shim_id":10,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(67,14,'shim_family',1,'{"price":"8.2","kit_price":null,"supplier":"","low_stock":0,"version":1}','{"price":"8.20","kit_price":"74","supplier":"Harbour Street counter","low_stock":1,"version":2}');
INSERT INTO "change" VALUES(68,15,'shim',11,NULL,'{"id":11,"family_id":1,"marked":"230","marked_nm":2300000,"measured_nm":null,"thickness_nm":2300000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(69,15,'shim',12,NULL,'{"id":12,"family_id":1,"marked":"235","marked_nm":2350000,"measured_nm":2348000,"thickness_nm":2348000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(70,15,'shim',13,NULL,'{"id":13,"family_id":1,"marked":"2475","marked_nm":2475000,"measured_nm":2474000,"thickness_nm":2474000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(71,15,'shim',14,NULL,'{"id":14,"family_id":1,"marked":"2475","marked_nm":2475000,"measured_nm":null,"thickness_nm":2475000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(72,15,'shim',15,NULL,'{"id":15,"family_id":1,"marked":"250","marked_nm":2500000,"measured_nm":null,"thickness_nm":2500000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(73,15,'shim',16,NULL,'{"id":16,"family_id":1,"marked":"250","marked_nm":2500000,"measured_nm":null,"thickness_nm":2500000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(74,15,'shim',17,NULL,'{"id":17,"family_id":1,"marked":"250","marked_nm":2500000,"measured_nm":null,"thickness_nm":2500000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(75,15,'shim',18,NULL,'{"id":18,"family_id":1,"marked":"2525","marked_nm":2525000,"measured_nm":null,"thickness_nm":2525000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(76,15,'shim',19,NULL,'{"id":19,"family_id":1,"marked":"255","marked_nm":2550000,"measured_nm":null,"thickness_nm":2550000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(77,15,'shim',20,NULL,'{"id":20,"family_id":1,"marked":"255","marked_nm":2550000,"measured_nm":null,"thickness_nm":2550000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(78,15,'shim',21,NULL,'{"id":21,"family_id":1,"marked":"2575","marked_nm":2575000,"measured_nm":null,"thickness_nm":2575000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(79,15,'shim',22,NULL,'{"id":22,"family_id":1,"marked":"260","marked_nm":2600000,"measured_nm":null,"thickness_nm":2600000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(80,15,'shim',23,NULL,'{"id":23,"family_id":1,"marked":"260","marked_nm":2600000,"measured_nm":null,"thickness_nm":2600000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(81,15,'shim',24,NULL,'{"id":24,"family_id":1,"marked":"265","marked_nm":2650000,"measured_nm":null,"thickness_nm":2650000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(82,15,'shim',25,NULL,'{"id":25,"family_id":1,"marked":"2675","marked_nm":2675000,"measured_nm":2673000,"thickness_nm":2673000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(83,15,'shim',26,NULL,'{"id":26,"family_id":1,"marked":"270","marked_nm":2700000,"measured_nm":null,"thickness_nm":2700000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(84,15,'shim',27,NULL,'{"id":27,"family_id":1,"marked":"270","marked_nm":2700000,"measured_nm":null,"thickness_nm":2700000,"condition":"sound","place":"drawer","engine_id":null,"valve":null,"card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(85,15,'shim_move',11,NULL,'{"id":11,"shim_id":11,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(86,15,'shim_move',12,NULL,'{"id":12,"shim_id":12,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(87,15,'shim_move',13,NULL,'{"id":13,"shim_id":13,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(88,15,'shim_move',14,NULL,'{"id":14,"shim_id":14,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(89,15,'shim_move',15,NULL,'{"id":15,"shim_id":15,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(90,15,'shim_move',16,NULL,'{"id":16,"shim_id":16,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(91,15,'shim_move',17,NULL,'{"id":17,"shim_id":17,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(92,15,'shim_move',18,NULL,'{"id":18,"shim_id":18,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(93,15,'shim_move',19,NULL,'{"id":19,"shim_id":19,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(94,15,'shim_move',20,NULL,'{"id":20,"shim_id":20,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(95,15,'shim_move',21,NULL,'{"id":21,"shim_id":21,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(96,15,'shim_move',22,NULL,'{"id":22,"shim_id":22,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(97,15,'shim_move',23,NULL,'{"id":23,"shim_id":23,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(98,15,'shim_move',24,NULL,'{"id":24,"shim_id":24,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(99,15,'shim_move',25,NULL,'{"id":25,"shim_id":25,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(100,15,'shim_move',26,NULL,'{"id":26,"shim_id":26,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(101,15,'shim_move',27,NULL,'{"id":27,"shim_id":27,"left":null,"reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"put into the drawer","moved_at":"2025-09-28 09:30:00.000000"}');
INSERT INTO "change" VALUES(102,16,'shim_family',3,'{"price":"8.6","supplier":"","version":1}','{"price":"8.90","supplier":"Harbour Street counter","version":2}');
INSERT INTO "change" VALUES(103,17,'shim_family',6,'{"price":"12.4","supplier":"","version":1}','{"price":"8.90","supplier":"Harbour Street counter","version":2}');
INSERT INTO "change" VALUES(104,18,'shim_family',4,'{"price":"9.1","supplier":"","version":1}','{"price":"8.90","supplier":"Harbour Street counter","version":2}');
INSERT INTO "change" VALUES(105,19,'card',1,NULL,'{"id":1,"engine_revision_id":2,"version":1,"opened_at":"2025-10-18 09:30:00.000000","opened_by":"Ivo Tarrask","reason":"Season''s end","distance_km":6120,"aim":"loose","rounding":"nearest","act":"out","signed_at":null,"signed_by":null,"hours":null,"put_away_at":null,"kind":"set","only_valve":null,"change_nm":null,"distance_mi":null,"symptoms":"","checks":null,"notes":"{}","bill":"[]","rested_hours":null,"temperature_c":null,"warm_reason":"","method":"marks","seen_to":"[]","blade_set_id":1,"trust":"measured","reuse":1,"variant":"best","tightening":"[]","recalled":"{}","forbidden":"[]","opened_too":"[]","instrument_id":1,"zero_nm":null,"as_signed":null,"remarks":null,"next_check_km":null,"next_check_mi":null,"next_check_hours":null,"next_check_on":null,"origin":null}');
INSERT INTO "change" VALUES(106,19,'round',1,NULL,'{"id":1,"card_id":1,"number":1,"opened_at":"2025-10-18 09:30:00.000000","reason":"","hand_turns":0}');
INSERT INTO "change" VALUES(107,20,'card_event',1,NULL,'{"id":1,"card_id":1,"version":2,"key":"demo-093300","action":"conditions","recorded_at":"2025-10-18 09:33:00.000000","digest":"0fb14bd30805958c120ca9a045a5fb64a5f8421390890958bf7a6f5fb95b5675"}');
INSERT INTO "change" VALUES(108,20,'card',1,'{"version":1,"rested_hours":null,"temperature_c":null}','{"version":2,"rested_hours":"15","temperature_c":"11"}');
INSERT INTO "change" VALUES(109,21,'card_event',2,NULL,'{"id":2,"card_id":1,"version":3,"key":"demo-093600","action":"safety power True","recorded_at":"2025-10-18 09:36:00.000000","digest":"d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b"}');
INSERT INTO "change" VALUES(110,21,'card',1,'{"version":2}','{"version":3}');
INSERT INTO "change" VALUES(111,21,'card',1,'{"seen_to":"[]"}','{"seen_to":"[\"power\"]"}');
INSERT INTO "change" VALUES(112,22,'card_event',3,NULL,'{"id":3,"card_id":1,"version":4,"key":"demo-093900","action":"safety stand True","recorded_at":"2025-10-18 09:39:00.000000","digest":"0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334"}');
INSERT INTO "change" VALUES(113,22,'card',1,'{"version":3}','{"version":4}');
INSERT INTO "change" VALUES(114,22,'card',1,'{"seen_to":"[\"power\"]"}','{"seen_to":"[\"power\", \"stand\"]"}');
INSERT INTO "change" VALUES(115,23,'card_event',4,NULL,'{"id":4,"card_id":1,"version":5,"key":"demo-094200","action":"safety fuel True","recorded_at":"2025-10-18 09:42:00.000000","digest":"5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d"}');
INSERT INTO "change" VALUES(116,23,'card',1,'{"version":4}','{"version":5}');
INSERT INTO "change" VALUES(117,23,'card',1,'{"seen_to":"[\"power\", \"stand\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}');
INSERT INTO "change" VALUES(118,24,'card_event',5,NULL,'{"id":5,"card_id":1,"version":6,"key":"demo-094500","action":"safety hands True","recorded_at":"2025-10-18 09:45:00.000000","digest":"375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592"}');
INSERT INTO "change" VALUES(119,24,'card',1,'{"version":5}','{"version":6}');
INSERT INTO "change" VALUES(120,24,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}');
INSERT INTO "change" VALUES(121,25,'card_event',6,NULL,'{"id":6,"card_id":1,"version":7,"key":"demo-094800","action":"safety clean True","recorded_at":"2025-10-18 09:48:00.000000","digest":"817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba"}');
INSERT INTO "change" VALUES(122,25,'card',1,'{"version":6}','{"version":7}');
INSERT INTO "change" VALUES(123,25,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}');
INSERT INTO "change" VALUES(124,26,'card_event',7,NULL,'{"id":7,"card_id":1,"version":8,"key":"demo-095100","action":"safety plug True","recorded_at":"2025-10-18 09:51:00.000000","digest":"ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b"}');
INSERT INTO "change" VALUES(125,26,'card',1,'{"version":7}','{"version":8}');
INSERT INTO "change" VALUES(126,26,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}');
INSERT INTO "change" VALUES(127,27,'card_event',8,NULL,'{"id":8,"card_id":1,"version":9,"key":"demo-095400","action":"safety plugs-out True","recorded_at":"2025-10-18 09:54:00.000000","digest":"e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7"}');
INSERT INTO "change" VALUES(128,27,'card',1,'{"version":8}','{"version":9}');
INSERT INTO "change" VALUES(129,27,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}');
INSERT INTO "change" VALUES(130,28,'card_event',9,NULL,'{"id":9,"card_id":1,"version":10,"key":"demo-095700","action":"safety direction True","recorded_at":"2025-10-18 09:57:00.000000","digest":"1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9"}');
INSERT INTO "change" VALUES(131,28,'card',1,'{"version":9}','{"version":10}');
INSERT INTO "change" VALUES(132,28,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\"]"}');
INSERT INTO "change" VALUES(133,29,'card_event',10,NULL,'{"id":10,"card_id":1,"version":11,"key":"demo-100000","action":"safety decompressor True","recorded_at":"2025-10-18 10:00:00.000000","digest":"73846d8aeca7dc41d626570151ee7186acac68db6b94f1c02f2a19d3f94812f8"}');
INSERT INTO "change" VALUES(134,29,'card',1,'{"version":10}','{"version":11}');
INSERT INTO "change" VALUES(135,29,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\"]"}');
INSERT INTO "change" VALUES(136,30,'card_event',11,NULL,'{"id":11,"card_id":1,"version":12,"key":"demo-100300","action":"found IN L 12","recorded_at":"2025-10-18 10:03:00.000000","digest":"4967eabf8400969b235cadccc4b39c36e4697887431459e340753df3f07afb24"}');
INSERT INTO "change" VALUES(137,30,'card',1,'{"version":11}','{"version":12}');
INSERT INTO "change" VALUES(138,30,'gap_reading',1,NULL,'{"id":1,"purpose":"found","unit":"mm","goes":"[120000]","refuses":null,"feel":"drag","low_nm":120000,"high_nm":120000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"IN L","typed":"12","recorded_at":"2025-10-18 10:03:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(139,31,'card_event',12,NULL,'{"id":12,"card_id":1,"version":13,"key":"demo-100600","action":"found IN C 8","recorded_at":"2025-10-18 10:06:00.000000","digest":"4b29eb343c1058c520df4f0b3a939170b749911ecf1848da2afaedf06290ae50"}');
INSERT INTO "change" VALUES(140,31,'card',1,'{"version":12}','{"version":13}');
INSERT INTO "change" VALUES(141,31,'gap_reading',2,NULL,'{"id":2,"purpose":"found","unit":"mm","goes":"[80000]","refuses":null,"feel":"drag","low_nm":80000,"high_nm":80000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"IN C","typed":"8","recorded_at":"2025-10-18 10:06:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(142,32,'card_event',13,NULL,'{"id":13,"card_id":1,"version":14,"key":"demo-100900","action":"found IN R 10-13","recorded_at":"2025-10-18 10:09:00.000000","digest":"377665355b51cc6ebd1e05596c183b47f328b52373b4714e7b3df4bd5fa0ea37"}');
INSERT INTO "change" VALUES(143,32,'card',1,'{"version":13}','{"version":14}');
INSERT INTO "change" VALUES(144,32,'gap_reading',3,NULL,'{"id":3,"purpose":"found","unit":"mm","goes":"[100000]","refuses":"[130000]","feel":null,"low_nm":100000,"high_nm":130000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"IN R","typed":"10-13","recorded_at":"2025-10-18 10:09:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(145,33,'card_event',14,NULL,'{"id":14,"card_id":1,"version":15,"key":"demo-101200","action":"found EX L 15-18","recorded_at":"2025-10-18 10:12:00.000000","digest":"249a771e7acde316c91c5116a8e2ad6cfc98d6a44884d8c2efc08a7a62c2c308"}');
INSERT INTO "change" VALUES(146,33,'card',1,'{"version":14}','{"version":15}');
INSERT INTO "change" VALUES(147,33,'gap_reading',4,NULL,'{"id":4,"purpose":"found","unit":"mm","goes":"[150000]","refuses":"[180000]","feel":null,"low_nm":150000,"high_nm":180000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"EX L","typed":"15-18","recorded_at":"2025-10-18 10:12:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(148,34,'card_event',15,NULL,'{"id":15,"card_id":1,"version":16,"key":"demo-101500","action":"found EX R 20","recorded_at":"2025-10-18 10:15:00.000000","digest":"65c4370f6226fe2896644bba091970b191f22a7d0cc35b8b082f046dbe117b15"}');
INSERT INTO "change" VALUES(149,34,'card',1,'{"version":15}','{"version":16}');
INSERT INTO "change" VALUES(150,34,'gap_reading',5,NULL,'{"id":5,"purpose":"found","unit":"mm","goes":"[200000]","refuses":null,"feel":"drag","low_nm":200000,"high_nm":200000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"EX R","typed":"20","recorded_at":"2025-10-18 10:15:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(151,35,'card_event',16,NULL,'{"id":16,"card_id":1,"version":17,"key":"demo-101800","action":"found EX L 15","recorded_at":"2025-10-18 10:18:00.000000","digest":"4d9860da3724963a89236b54b6e1f5d1a7503c328924b1658340dad7084cb268"}');
INSERT INTO "change" VALUES(152,35,'gap_reading',4,'{"superseded_at":null}','{"superseded_at":"2025-10-18 10:18:00.000000"}');
INSERT INTO "change" VALUES(153,35,'card',1,'{"version":16}','{"version":17}');
INSERT INTO "change" VALUES(154,35,'gap_reading',6,NULL,'{"id":6,"purpose":"found","unit":"mm","goes":"[150000]","refuses":null,"feel":"drag","low_nm":150000,"high_nm":150000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":4,"round_id":1,"valve":"EX L","typed":"15","recorded_at":"2025-10-18 10:18:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(155,36,'card_event',17,NULL,'{"id":17,"card_id":1,"version":18,"key":"demo-102100","action":"piece IN C 185 1.848","recorded_at":"2025-10-18 10:21:00.000000","digest":"c53c2a82bfcada1b189247e58dbed5af165796edad181bca39cf771c76eaa605"}');
INSERT INTO "change" VALUES(156,36,'card',1,'{"version":17}','{"version":18}');
INSERT INTO "change" VALUES(157,36,'piece_reading',1,NULL,'{"id":1,"marked":"185","marked_nm":1850000,"measured_nm":1848000,"readings":"[1848000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":1,"valve":"IN C","typed":"185 1.848","recorded_at":"2025-10-18 10:21:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(158,36,'shim',28,NULL,'{"id":28,"family_id":2,"marked":"185","marked_nm":1850000,"measured_nm":1848000,"thickness_nm":1848000,"condition":"sound","place":"engine","engine_id":2,"valve":"IN C","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(159,36,'shim_move',28,NULL,'{"id":28,"shim_id":28,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 2, \"valve\": \"IN C\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 1","moved_at":"2025-10-18 10:21:00.000000"}');
INSERT INTO "change" VALUES(160,37,'card_event',18,NULL,'{"id":18,"card_id":1,"version":19,"key":"demo-102400","action":"piece EX L 170","recorded_at":"2025-10-18 10:24:00.000000","digest":"a91a3702ac1c16a9af4adf68940c24cbf1ff31828c3a3a062872c3176c72f8d6"}');
INSERT INTO "change" VALUES(161,37,'card',1,'{"version":18}','{"version":19}');
INSERT INTO "change" VALUES(162,37,'piece_reading',2,NULL,'{"id":2,"marked":"170","marked_nm":1700000,"measured_nm":null,"readings":"[]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":1,"valve":"EX L","typed":"170","recorded_at":"2025-10-18 10:24:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(163,37,'shim',29,NULL,'{"id":29,"family_id":2,"marked":"170","marked_nm":1700000,"measured_nm":null,"thickness_nm":1700000,"condition":"sound","place":"engine","engine_id":2,"valve":"EX L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(164,37,'shim_move',29,NULL,'{"id":29,"shim_id":29,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 2, \"valve\": \"EX L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 1","moved_at":"2025-10-18 10:24:00.000000"}');
INSERT INTO "change" VALUES(165,38,'card_event',19,NULL,'{"id":19,"card_id":1,"version":20,"key":"demo-102700","action":"choose IN C 1800000","recorded_at":"2025-10-18 10:27:00.000000","digest":"26f119060dcff525c43b1a62aa00f909b3fe39edb893a8a03344d2efad2e66f3"}');
INSERT INTO "change" VALUES(166,38,'card',1,'{"version":19}','{"version":20}');
INSERT INTO "change" VALUES(167,38,'choice',1,NULL,'{"id":1,"thickness_nm":1800000,"source":"counter","from_valve":null,"by_hand":1,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":null,"made_from":"[80000, 80000, null, 1848000, 100000, 150000, 100000, 150000]","doubt_nm":null,"supersedes_id":null,"round_id":1,"valve":"IN C","typed":"1.80","recorded_at":"2025-10-18 10:27:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(168,39,'card_event',20,NULL,'{"id":20,"card_id":1,"version":21,"key":"demo-103000","action":"choose EX L 1650000","recorded_at":"2025-10-18 10:30:00.000000","digest":"65f650949113eb47cc3d67f5e2b70b0410bcaaba2399c942819cfa197b691458"}');
INSERT INTO "change" VALUES(169,39,'card',1,'{"version":20}','{"version":21}');
INSERT INTO "change" VALUES(170,39,'choice',2,NULL,'{"id":2,"thickness_nm":1650000,"source":"counter","from_valve":null,"by_hand":1,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":null,"made_from":"[150000, 150000, null, 1700000, 170000, 220000, 170000, 220000]","doubt_nm":null,"supersedes_id":null,"round_id":1,"valve":"EX L","typed":"1.65","recorded_at":"2025-10-18 10:30:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(171,40,'card_event',21,NULL,'{"id":21,"card_id":1,"version":22,"key":"demo-103300","action":"fit IN C True","recorded_at":"2025-10-18 10:33:00.000000","digest":"0089651fbbbda389fe379cd82aa17d00794e1a32793d4597c37e0b9e8d5a2772"}');
INSERT INTO "change" VALUES(172,40,'card',1,'{"version":21}','{"version":22}');
INSERT INTO "change" VALUES(173,40,'choice',1,'{"superseded_at":null}','{"superseded_at":"2025-10-18 10:33:00.000000"}');
INSERT INTO "change" VALUES(174,40,'choice',3,NULL,'{"id":3,"thickness_nm":1800000,"source":"counter","from_valve":null,"by_hand":1,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":"2025-10-18 10:33:00.000000","made_from":"[80000, 80000, null, 1848000, 100000, 150000, 100000, 150000]","doubt_nm":null,"supersedes_id":1,"round_id":1,"valve":"IN C","typed":"1.80","recorded_at":"2025-10-18 10:33:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(175,41,'card_event',22,NULL,'{"id":22,"card_id":1,"version":23,"key":"demo-103600","action":"fit EX L True","recorded_at":"2025-10-18 10:36:00.000000","digest":"ac2239dbcb4c9252fd328834c1d9a0ccf44892c36c3f68c5a023bd116d0ccf6e"}');
INSERT INTO "change" VALUES(176,41,'card',1,'{"version":22}','{"version":23}');
INSERT INTO "change" VALUES(177,41,'choice',2,'{"superseded_at":null}','{"superseded_at":"2025-10-18 10:36:00.000000"}');
INSERT INTO "change" VALUES(178,41,'choice',4,NULL,'{"id":4,"thickness_nm":1650000,"source":"counter","from_valve":null,"by_hand":1,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":"2025-10-18 10:36:00.000000","made_from":"[150000, 150000, null, 1700000, 170000, 220000, 170000, 220000]","doubt_nm":null,"supersedes_id":2,"round_id":1,"valve":"EX L","typed":"1.65","recorded_at":"2025-10-18 10:36:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(179,42,'card_event',23,NULL,'{"id":23,"card_id":1,"version":24,"key":"demo-103900","action":"turns 2","recorded_at":"2025-10-18 10:39:00.000000","digest":"fdc69c5197588c8d8f2379d4e853ef1615bb8141876d47e366e74f3e962ca8ea"}');
INSERT INTO "change" VALUES(180,42,'card',1,'{"version":23}','{"version":24}');
INSERT INTO "change" VALUES(181,42,'round',1,'{"hand_turns":0}','{"hand_turns":2}');
INSERT INTO "change" VALUES(182,43,'card_event',24,NULL,'{"id":24,"card_id":1,"version":25,"key":"demo-104200","action":"proof IN C 13","recorded_at":"2025-10-18 10:42:00.000000","digest":"421bcdc4ca5a4c4ccbd37fdf5d80f6ba339d62786bba15da68c61313e1ccddd6"}');
INSERT INTO "change" VALUES(183,43,'card',1,'{"version":24}','{"version":25}');
INSERT INTO "change" VALUES(184,43,'gap_reading',7,NULL,'{"id":7,"purpose":"proof","unit":"mm","goes":"[130000]","refuses":null,"feel":"drag","low_nm":130000,"high_nm":130000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"IN C","typed":"13","recorded_at":"2025-10-18 10:42:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(185,44,'card_event',25,NULL,'{"id":25,"card_id":1,"version":26,"key":"demo-104500","action":"proof EX L 20","recorded_at":"2025-10-18 10:45:00.000000","digest":"8dd566989b773443b60481e76699cf365f8afe6b9c24e08dfd17f83e628cf016"}');
INSERT INTO "change" VALUES(186,44,'card',1,'{"version":25}','{"version":26}');
INSERT INTO "change" VALUES(187,44,'gap_reading',8,NULL,'{"id":8,"purpose":"proof","unit":"mm","goes":"[200000]","refuses":null,"feel":"drag","low_nm":200000,"high_nm":200000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":1,"valve":"EX L","typed":"20","recorded_at":"2025-10-18 10:45:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(188,45,'card_event',26,NULL,'{"id":26,"card_id":1,"version":27,"key":"demo-104800","action":"safety pull-plug True","recorded_at":"2025-10-18 10:48:00.000000","digest":"da20e7b2a39d840cfbd53a201032d8f21560d0cfca803d2f32c9da75827081ea"}');
INSERT INTO "change" VALUES(189,45,'card',1,'{"version":26}','{"version":27}');
INSERT INTO "change" VALUES(190,45,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\"]"}');
INSERT INTO "change" VALUES(191,46,'card_event',27,NULL,'{"id":27,"card_id":1,"version":28,"key":"demo-105100","action":"safety pull-mark True","recorded_at":"2025-10-18 10:51:00.000000","digest":"4feb4f6e38df074e76ab4c6b27fbf5954da297c23c10e85d2aca315600dd1ea2"}');
INSERT INTO "change" VALUES(192,46,'card',1,'{"version":27}','{"version":28}');
INSERT INTO "change" VALUES(193,46,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\"]"}');
INSERT INTO "change" VALUES(194,47,'card_event',28,NULL,'{"id":28,"card_id":1,"version":29,"key":"demo-105400","action":"safety pull-tensioner True","recorded_at":"2025-10-18 10:54:00.000000","digest":"5a09d317c629cce2a6d7ad567a8b82adae71ae3266742557dd15c989edcb5865"}');
INSERT INTO "change" VALUES(195,47,'card',1,'{"version":28}','{"version":29}');
INSERT INTO "change" VALUES(196,47,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\"]"}');
INSERT INTO "change" VALUES(197,48,'card_event',29,NULL,'{"id":29,"card_id":1,"version":30,"key":"demo-105700","action":"safety pull-caps True","recorded_at":"2025-10-18 10:57:00.000000","digest":"bec418ccf0bd104972662defc6b104e5b90db0556a34d42edce557fd9b50bbdb"}');
INSERT INTO "change" VALUES(198,48,'card',1,'{"version":29}','{"version":30}');
INSERT INTO "change" VALUES(199,48,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\"]"}');
INSERT INTO "change" VALUES(200,49,'card_event',30,NULL,'{"id":30,"card_id":1,"version":31,"key":"demo-110000","action":"safety pull-lift True","recorded_at":"2025-10-18 11:00:00.000000","digest":"9e502d7c184a583a7120df8271a912b74f83cdc8d922a75ff6df73be5bc6bb43"}');
INSERT INTO "change" VALUES(201,49,'card',1,'{"version":30}','{"version":31}');
INSERT INTO "change" VALUES(202,49,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\"]"}');
INSERT INTO "change" VALUES(203,50,'card_event',31,NULL,'{"id":31,"card_id":1,"version":32,"key":"demo-110300","action":"safety pull-bucket True","recorded_at":"2025-10-18 11:03:00.000000","digest":"7aba35d592b42776a60affb7b8571cfe3f4a3dedeab7a5ffcf8b182246283d94"}');
INSERT INTO "change" VALUES(204,50,'card',1,'{"version":31}','{"version":32}');
INSERT INTO "change" VALUES(205,50,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\"]"}');
INSERT INTO "change" VALUES(206,51,'card_event',32,NULL,'{"id":32,"card_id":1,"version":33,"key":"demo-110600","action":"safety pull-read True","recorded_at":"2025-10-18 11:06:00.000000","digest":"6f57115947897e3826a38cc12a0e880f4403f7d1ac9340d6c5b37a13077926c0"}');
INSERT INTO "change" VALUES(207,51,'card',1,'{"version":32}','{"version":33}');
INSERT INTO "change" VALUES(208,51,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\"]"}');
INSERT INTO "change" VALUES(209,52,'card_event',33,NULL,'{"id":33,"card_id":1,"version":34,"key":"demo-110900","action":"safety close-count True","recorded_at":"2025-10-18 11:09:00.000000","digest":"3fc4f4c6fcf69222eb66830939013be5763b4bcdf02c3151ffc24abe48eaa2e1"}');
INSERT INTO "change" VALUES(210,52,'card',1,'{"version":33}','{"version":34}');
INSERT INTO "change" VALUES(211,52,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\"]"}');
INSERT INTO "change" VALUES(212,53,'card_event',34,NULL,'{"id":34,"card_id":1,"version":35,"key":"demo-111200","action":"safety close-lay True","recorded_at":"2025-10-18 11:12:00.000000","digest":"68490ebeb5ad64894753f3c1569912867a05eb0d7a6172a0dbc209ccfba29be8"}');
INSERT INTO "change" VALUES(213,53,'card',1,'{"version":34}','{"version":35}');
INSERT INTO "change" VALUES(214,53,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\"]"}');
INSERT INTO "change" VALUES(215,54,'card_event',35,NULL,'{"id":35,"card_id":1,"version":36,"key":"demo-111500","action":"safety close-caps True","recorded_at":"2025-10-18 11:15:00.000000","digest":"1858e7dfad4f5df26d290b2fe731489285cc4c440b78568da47481a603796da4"}');
INSERT INTO "change" VALUES(216,54,'card',1,'{"version":35}','{"version":36}');
INSERT INTO "change" VALUES(217,54,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\"]"}');
INSERT INTO "change" VALUES(218,55,'card_event',36,NULL,'{"id":36,"card_id":1,"version":37,"key":"demo-111800","action":"safety close-marks True","recorded_at":"2025-10-18 11:18:00.000000","digest":"afe344ee9356804944197c9b70e29d0b122bd69f9e3341b5445aea6396d5f2ed"}');
INSERT INTO "change" VALUES(219,55,'card',1,'{"version":36}','{"version":37}');
INSERT INTO "change" VALUES(220,55,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\"]"}');
INSERT INTO "change" VALUES(221,56,'card_event',37,NULL,'{"id":37,"card_id":1,"version":38,"key":"demo-112100","action":"safety close-tensioner True","recorded_at":"2025-10-18 11:21:00.000000","digest":"d5edd6e1d2964f9b76506049e7ec801f4e040587ddfa3a27f59446ee4bd3e227"}');
INSERT INTO "change" VALUES(222,56,'card',1,'{"version":37}','{"version":38}');
INSERT INTO "change" VALUES(223,56,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\"]"}');
INSERT INTO "change" VALUES(224,57,'card_event',38,NULL,'{"id":38,"card_id":1,"version":39,"key":"demo-112400","action":"safety close-slack True","recorded_at":"2025-10-18 11:24:00.000000","digest":"34c3967302e31b343a02641e3c49679b7d1e7aedd6ae7f815d899f3034ba9d70"}');
INSERT INTO "change" VALUES(225,57,'card',1,'{"version":38}','{"version":39}');
INSERT INTO "change" VALUES(226,57,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\"]"}');
INSERT INTO "change" VALUES(227,58,'card_event',39,NULL,'{"id":39,"card_id":1,"version":40,"key":"demo-112700","action":"safety close-turns True","recorded_at":"2025-10-18 11:27:00.000000","digest":"2d4db126785580d137aa2e628f05c759fb819218d3c468812471c4fcb7803e1f"}');
INSERT INTO "change" VALUES(228,58,'card',1,'{"version":39}','{"version":40}');
INSERT INTO "change" VALUES(229,58,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\"]"}');
INSERT INTO "change" VALUES(230,59,'card_event',40,NULL,'{"id":40,"card_id":1,"version":41,"key":"demo-113000","action":"safety close-cover True","recorded_at":"2025-10-18 11:30:00.000000","digest":"07e7d85babeca285a4569eeba31d7881f38d7826e11e8c8a3221726daf64849c"}');
INSERT INTO "change" VALUES(231,59,'card',1,'{"version":40}','{"version":41}');
INSERT INTO "change" VALUES(232,59,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\", \"close-cover\"]"}');
INSERT INTO "change" VALUES(233,60,'card_event',41,NULL,'{"id":41,"card_id":1,"version":42,"key":"demo-113300","action":"safety close-cover-torque True","recorded_at":"2025-10-18 11:33:00.000000","digest":"f18028d888039dc5751fd704521a7d2636220f334d92cb77ce848dd53fc6b39e"}');
INSERT INTO "change" VALUES(234,60,'card',1,'{"version":41}','{"version":42}');
INSERT INTO "change" VALUES(235,60,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\", \"close-cover\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\", \"close-cover\", \"close-cover-torque\"]"}');
INSERT INTO "change" VALUES(236,61,'card_event',42,NULL,'{"id":42,"card_id":1,"version":43,"key":"demo-113600","action":"safety close-rest True","recorded_at":"2025-10-18 11:36:00.000000","digest":"a859e3ed6c89a14a09c47cc23a22c36267442f4dbbdbb25cee769daae3b028c9"}');
INSERT INTO "change" VALUES(237,61,'card',1,'{"version":42}','{"version":43}');
INSERT INTO "change" VALUES(238,61,'card',1,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\", \"close-cover\", \"close-cover-torque\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\", \"decompressor\", \"pull-plug\", \"pull-mark\", \"pull-tensioner\", \"pull-caps\", \"pull-lift\", \"pull-bucket\", \"pull-read\", \"close-count\", \"close-lay\", \"close-caps\", \"close-marks\", \"close-tensioner\", \"close-slack\", \"close-turns\", \"close-cover\", \"close-cover-torque\", \"close-rest\"]"}');
INSERT INTO "change" VALUES(239,62,'card_event',43,NULL,'{"id":43,"card_id":1,"version":44,"key":"demo-113900","action":"sign","recorded_at":"2025-10-18 11:39:00.000000","digest":"267fa1bc7d43c24d993b7f3b33e3d7d27bb36b71b127910eeb90a7f16de7d86d"}');
INSERT INTO "change" VALUES(240,62,'card',1,'{"version":43}','{"version":44}');
INSERT INTO "change" VALUES(241,62,'shim_move',30,NULL,'{"id":30,"shim_id":28,"left":"{\"where\": \"engine\", \"engine_id\": 2, \"valve\": \"IN C\", \"card_id\": null, \"order_line_id\": null}","reached":"{\"where\": \"card\", \"engine_id\": null, \"valve\": null, \"card_id\": 1, \"order_line_id\": null}","why":"out of IN C, card 1","moved_at":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(242,62,'shim',28,'{"place":"engine","engine_id":2,"valve":"IN C","card_id":null}','{"place":"card","engine_id":null,"valve":null,"card_id":1}');
INSERT INTO "change" VALUES(243,62,'shim_move',31,NULL,'{"id":31,"shim_id":29,"left":"{\"where\": \"engine\", \"engine_id\": 2, \"valve\": \"EX L\", \"card_id\": null, \"order_line_id\": null}","reached":"{\"where\": \"card\", \"engine_id\": null, \"valve\": null, \"card_id\": 1, \"order_line_id\": null}","why":"out of EX L, card 1","moved_at":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(244,62,'shim',29,'{"place":"engine","engine_id":2,"valve":"EX L","card_id":null}','{"place":"card","engine_id":null,"valve":null,"card_id":1}');
INSERT INTO "change" VALUES(245,62,'shim',30,NULL,'{"id":30,"family_id":2,"marked":null,"marked_nm":1800000,"measured_nm":null,"thickness_nm":1800000,"condition":"sound","place":"engine","engine_id":2,"valve":"IN C","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(246,62,'shim_move',32,NULL,'{"id":32,"shim_id":30,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 2, \"valve\": \"IN C\", \"card_id\": null, \"order_line_id\": null}","why":"fitted, card 1","moved_at":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(247,62,'shim',31,NULL,'{"id":31,"family_id":2,"marked":null,"marked_nm":1650000,"measured_nm":null,"thickness_nm":1650000,"condition":"sound","place":"engine","engine_id":2,"valve":"EX L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(248,62,'shim_move',33,NULL,'{"id":33,"shim_id":31,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 2, \"valve\": \"EX L\", \"card_id\": null, \"order_line_id\": null}","why":"fitted, card 1","moved_at":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(249,62,'shim_move',34,NULL,'{"id":34,"shim_id":29,"left":"{\"where\": \"card\", \"engine_id\": null, \"valve\": null, \"card_id\": 1, \"order_line_id\": null}","reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"left over, card 1","moved_at":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(250,62,'shim',29,'{"place":"card","card_id":1}','{"place":"drawer","card_id":null}');
INSERT INTO "change" VALUES(251,62,'shim_move',35,NULL,'{"id":35,"shim_id":28,"left":"{\"where\": \"card\", \"engine_id\": null, \"valve\": null, \"card_id\": 1, \"order_line_id\": null}","reached":"{\"where\": \"drawer\", \"engine_id\": null, \"valve\": null, \"card_id\": null, \"order_line_id\": null}","why":"left over, card 1","moved_at":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(252,62,'shim',28,'{"place":"card","card_id":1}','{"place":"drawer","card_id":null}');
INSERT INTO "change" VALUES(253,62,'card',1,'{"signed_at":null,"signed_by":null,"as_signed":null,"remarks":null,"next_check_km":null}','{"signed_at":"2025-10-18 11:39:00.000000","signed_by":"Ivo Tarrask","as_signed":"{\"label\": \"No. 8 \\u00b7 Tindle Pentad\", \"note\": \"Gravel single, five valves; checked each season\", \"blade_set\": {\"name\": \"Bench set\", \"stacking\": true, \"blades\": [{\"nominal_nm\": 30000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 40000, \"measured_nm\": null, \"state\": \"bent\", \"stamped_nm\": null}, {\"nominal_nm\": 50000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 60000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 70000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 80000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 90000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 100000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 130000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 150000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 180000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 200000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 230000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 250000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 280000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 300000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 330000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 350000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 380000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 400000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 450000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}, {\"nominal_nm\": 500000, \"measured_nm\": null, \"state\": \"sound\", \"stamped_nm\": null}], \"stacks\": []}, \"instrument\": {\"name\": \"Bench micrometer\", \"doubt_nm\": 4000}}","remarks":"Cam caps evenly in three stages. New cover gasket.","next_check_km":9000}');
INSERT INTO "change" VALUES(254,62,'seal',1,NULL,'{"id":1,"card_id":1,"fingerprint":"7f399db87571ed3d8962fc803150c54e5950214880394bed86c9a6563e29a82c","head":"83a59133d94d1caec1b009106312e3183cfc753e6ca52b54aed72aa55f09d242","sealed_at":"2025-10-18 11:39:00.000000","public":"5NFzzeLLGEdawmuX68tiItejkItEdjeEMo0SCCQm8QM","signature":"42gEeyPlzAPEUm-ndjl2yqZHI0Q9m-cDwFPw6bPabL9bcHMPGr5FYdyrayQ2dN-lMqkkfst39_B-0jR9wzVICQ"}');
INSERT INTO "change" VALUES(255,62,'shop_key',1,NULL,'{"id":1,"public":"5NFzzeLLGEdawmuX68tiItejkItEdjeEMo0SCCQm8QM","name":"","own":1,"since":"2025-10-18 11:39:00.000000"}');
INSERT INTO "change" VALUES(256,63,'card',2,NULL,'{"id":2,"engine_revision_id":3,"version":1,"opened_at":"2026-11-19 08:40:00.000000","opened_by":"Merrin Oske","reason":"Interval","distance_km":24310,"aim":"maker","rounding":"nearest","act":"out","signed_at":null,"signed_by":null,"hours":null,"put_away_at":null,"kind":"set","only_valve":null,"change_nm":null,"distance_mi":null,"symptoms":"","checks":null,"notes":"{}","bill":"[]","rested_hours":null,"temperature_c":null,"warm_reason":"","method":"marks","seen_to":"[]","blade_set_id":1,"trust":"measured","reuse":1,"variant":"best","tightening":"[]","recalled":"{}","forbidden":"[]","opened_too":"[]","instrument_id":1,"zero_nm":null,"as_signed":null,"remarks":null,"next_check_km":null,"next_check_mi":null,"next_check_hours":null,"next_check_on":null,"origin":null}');
INSERT INTO "change" VALUES(257,63,'round',2,NULL,'{"id":2,"card_id":2,"number":1,"opened_at":"2026-11-19 08:40:00.000000","reason":"","hand_turns":0}');
INSERT INTO "change" VALUES(258,64,'card_event',44,NULL,'{"id":44,"card_id":2,"version":2,"key":"demo-084300","action":"conditions","recorded_at":"2026-11-19 08:43:00.000000","digest":"8f1c2dc9499cfa617dd9f61660e2b70f73b2789911bcb14eebf84302b8b96c6b"}');
INSERT INTO "change" VALUES(259,64,'card',2,'{"version":1,"rested_hours":null,"temperature_c":null}','{"version":2,"rested_hours":"14","temperature_c":"9"}');
INSERT INTO "change" VALUES(260,65,'card_event',45,NULL,'{"id":45,"card_id":2,"version":3,"key":"demo-084600","action":"safety power True","recorded_at":"2026-11-19 08:46:00.000000","digest":"d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b"}');
INSERT INTO "change" VALUES(261,65,'card',2,'{"version":2}','{"version":3}');
INSERT INTO "change" VALUES(262,65,'card',2,'{"seen_to":"[]"}','{"seen_to":"[\"power\"]"}');
INSERT INTO "change" VALUES(263,66,'card_event',46,NULL,'{"id":46,"card_id":2,"version":4,"key":"demo-084900","action":"safety stand True","recorded_at":"2026-11-19 08:49:00.000000","digest":"0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334"}');
INSERT INTO "change" VALUES(264,66,'card',2,'{"version":3}','{"version":4}');
INSERT INTO "change" VALUES(265,66,'card',2,'{"seen_to":"[\"power\"]"}','{"seen_to":"[\"power\", \"stand\"]"}');
INSERT INTO "change" VALUES(266,67,'card_event',47,NULL,'{"id":47,"card_id":2,"version":5,"key":"demo-085200","action":"safety fuel True","recorded_at":"2026-11-19 08:52:00.000000","digest":"5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d"}');
INSERT INTO "change" VALUES(267,67,'card',2,'{"version":4}','{"version":5}');
INSERT INTO "change" VALUES(268,67,'card',2,'{"seen_to":"[\"power\", \"stand\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}');
INSERT INTO "change" VALUES(269,68,'card_event',48,NULL,'{"id":48,"card_id":2,"version":6,"key":"demo-085500","action":"safety hands True","recorded_at":"2026-11-19 08:55:00.000000","digest":"375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592"}');
INSERT INTO "change" VALUES(270,68,'card',2,'{"version":5}','{"version":6}');
INSERT INTO "change" VALUES(271,68,'card',2,'{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}');
INSERT INTO "change" VALUES(272,69,'card_event',49,NULL,'{"id":49,"card_id":2,"version":7,"key":"demo-085800","action":"safety clean True","recorded_at":"2026-11-19 08:58:00.000000","digest":"817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba"}');
INSERT INTO "change" VALUES(273,69,'card',2,'{"version":6}','{"version":7}');
INSERT INTO "change" VALUES(274,69,'card',2,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}');
INSERT INTO "change" VALUES(275,70,'card_event',50,NULL,'{"id":50,"card_id":2,"version":8,"key":"demo-090100","action":"safety plug True","recorded_at":"2026-11-19 09:01:00.000000","digest":"ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b"}');
INSERT INTO "change" VALUES(276,70,'card',2,'{"version":7}','{"version":8}');
INSERT INTO "change" VALUES(277,70,'card',2,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}');
INSERT INTO "change" VALUES(278,71,'card_event',51,NULL,'{"id":51,"card_id":2,"version":9,"key":"demo-090400","action":"safety plugs-out True","recorded_at":"2026-11-19 09:04:00.000000","digest":"e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7"}');
INSERT INTO "change" VALUES(279,71,'card',2,'{"version":8}','{"version":9}');
INSERT INTO "change" VALUES(280,71,'card',2,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}');
INSERT INTO "change" VALUES(281,72,'card_event',52,NULL,'{"id":52,"card_id":2,"version":10,"key":"demo-090700","action":"safety direction True","recorded_at":"2026-11-19 09:07:00.000000","digest":"1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9"}');
INSERT INTO "change" VALUES(282,72,'card',2,'{"version":9}','{"version":10}');
INSERT INTO "change" VALUES(283,72,'card',2,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\"]"}');
INSERT INTO "change" VALUES(284,73,'card_event',53,NULL,'{"id":53,"card_id":2,"version":11,"key":"demo-091000","action":"found 1 EX L 28","recorded_at":"2026-11-19 09:10:00.000000","digest":"4cf6e59fcdfd2d6fc5707d1d68bbb6fa78247c31e664c9ff2904e26d5423da56"}');
INSERT INTO "change" VALUES(285,73,'card',2,'{"version":10}','{"version":11}');
INSERT INTO "change" VALUES(286,73,'gap_reading',9,NULL,'{"id":9,"purpose":"found","unit":"mm","goes":"[280000]","refuses":null,"feel":"drag","low_nm":280000,"high_nm":280000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":2,"valve":"1 EX L","typed":"28","recorded_at":"2026-11-19 09:10:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(287,74,'card_event',54,NULL,'{"id":54,"card_id":2,"version":12,"key":"demo-091300","action":"found 1 EX R 25-28","recorded_at":"2026-11-19 09:13:00.000000","digest":"3e81f76d28f6d076eb3b7e0c2317acc19223f53b032dd6200e1d855b6d33642d"}');
INSERT INTO "change" VALUES(288,74,'card',2,'{"version":11}','{"version":12}');
INSERT INTO "change" VALUES(289,74,'gap_reading',10,NULL,'{"id":10,"purpose":"found","unit":"mm","goes":"[250000]","refuses":"[280000]","feel":null,"low_nm":250000,"high_nm":280000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":2,"valve":"1 EX R","typed":"25-28","recorded_at":"2026-11-19 09:13:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(290,75,'card_event',55,NULL,'{"id":55,"card_id":2,"version":13,"key":"demo-091600","action":"found 2 IN L 15-18","recorded_at":"2026-11-19 09:16:00.000000","digest":"376dc3172b5488a8c12b017e27c6939760bef7f2f82c654b326c1586fe44b8b7"}');
INSERT INTO "change" VALUES(291,75,'card',2,'{"version":12}','{"version":13}');
INSERT INTO "change" VALUES(292,75,'gap_reading',11,NULL,'{"id":11,"purpose":"found","unit":"mm","goes":"[150000]","refuses":"[180000]","feel":null,"low_nm":150000,"high_nm":180000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":2,"valve":"2 IN L","typed":"15-18","recorded_at":"2026-11-19 09:16:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(293,76,'card_event',56,NULL,'{"id":56,"card_id":2,"version":14,"key":"demo-091900","action":"found 2 IN R 15","recorded_at":"2026-11-19 09:19:00.000000","digest":"264ef90f3cf4c16431ae1301af0f6883e1f992e3683662f84234825753d7a19d"}');
INSERT INTO "change" VALUES(294,76,'card',2,'{"version":13}','{"version":14}');
INSERT INTO "change" VALUES(295,76,'gap_reading',12,NULL,'{"id":12,"purpose":"found","unit":"mm","goes":"[150000]","refuses":null,"feel":"drag","low_nm":150000,"high_nm":150000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":2,"valve":"2 IN R","typed":"15","recorded_at":"2026-11-19 09:19:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(296,77,'card',3,NULL,'{"id":3,"engine_revision_id":1,"version":1,"opened_at":"2026-11-20 08:40:00.000000","opened_by":"Sanna Veldrig","reason":"Ticking when warm, hard to start cold","distance_km":18540,"aim":"loose","rounding":"nearest","act":"out","signed_at":null,"signed_by":null,"hours":null,"put_away_at":null,"kind":"set","only_valve":null,"change_nm":null,"distance_mi":null,"symptoms":"","checks":null,"notes":"{}","bill":"[]","rested_hours":null,"temperature_c":null,"warm_reason":"","method":"marks","seen_to":"[]","blade_set_id":1,"trust":"measured","reuse":1,"variant":"best","tightening":"[]","recalled":"{}","forbidden":"[]","opened_too":"[]","instrument_id":1,"zero_nm":null,"as_signed":null,"remarks":null,"next_check_km":null,"next_check_mi":null,"next_check_hours":null,"next_check_on":null,"origin":null}');
INSERT INTO "change" VALUES(297,77,'round',3,NULL,'{"id":3,"card_id":3,"number":1,"opened_at":"2026-11-20 08:40:00.000000","reason":"","hand_turns":0}');
INSERT INTO "change" VALUES(298,78,'card_event',57,NULL,'{"id":57,"card_id":3,"version":2,"key":"demo-084300","action":"conditions","recorded_at":"2026-11-20 08:43:00.000000","digest":"f9b757fd9ad7d2ae64fae15e5947706e56c2751980c0a69219c64f48023e496a"}');
INSERT INTO "change" VALUES(299,78,'card',3,'{"version":1,"rested_hours":null,"temperature_c":null}','{"version":2,"rested_hours":"16","temperature_c":"7.5"}');
INSERT INTO "change" VALUES(300,79,'card_event',58,NULL,'{"id":58,"card_id":3,"version":3,"key":"demo-084600","action":"safety power True","recorded_at":"2026-11-20 08:46:00.000000","digest":"d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b"}');
INSERT INTO "change" VALUES(301,79,'card',3,'{"version":2}','{"version":3}');
INSERT INTO "change" VALUES(302,79,'card',3,'{"seen_to":"[]"}','{"seen_to":"[\"power\"]"}');
INSERT INTO "change" VALUES(303,80,'card_event',59,NULL,'{"id":59,"card_id":3,"version":4,"key":"demo-084900","action":"safety stand True","recorded_at":"2026-11-20 08:49:00.000000","digest":"0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334"}');
INSERT INTO "change" VALUES(304,80,'card',3,'{"version":3}','{"version":4}');
INSERT INTO "change" VALUES(305,80,'card',3,'{"seen_to":"[\"power\"]"}','{"seen_to":"[\"power\", \"stand\"]"}');
INSERT INTO "change" VALUES(306,81,'card_event',60,NULL,'{"id":60,"card_id":3,"version":5,"key":"demo-085200","action":"safety fuel True","recorded_at":"2026-11-20 08:52:00.000000","digest":"5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d"}');
INSERT INTO "change" VALUES(307,81,'card',3,'{"version":4}','{"version":5}');
INSERT INTO "change" VALUES(308,81,'card',3,'{"seen_to":"[\"power\", \"stand\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}');
INSERT INTO "change" VALUES(309,82,'card_event',61,NULL,'{"id":61,"card_id":3,"version":6,"key":"demo-085500","action":"safety hands True","recorded_at":"2026-11-20 08:55:00.000000","digest":"375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592"}');
INSERT INTO "change" VALUES(310,82,'card',3,'{"version":5}','{"version":6}');
INSERT INTO "change" VALUES(311,82,'card',3,'{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}');
INSERT INTO "change" VALUES(312,83,'card_event',62,NULL,'{"id":62,"card_id":3,"version":7,"key":"demo-085800","action":"safety clean True","recorded_at":"2026-11-20 08:58:00.000000","digest":"817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba"}');
INSERT INTO "change" VALUES(313,83,'card',3,'{"version":6}','{"version":7}');
INSERT INTO "change" VALUES(314,83,'card',3,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}');
INSERT INTO "change" VALUES(315,84,'card_event',63,NULL,'{"id":63,"card_id":3,"version":8,"key":"demo-090100","action":"safety plug True","recorded_at":"2026-11-20 09:01:00.000000","digest":"ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b"}');
INSERT INTO "change" VALUES(316,84,'card',3,'{"version":7}','{"version":8}');
INSERT INTO "change" VALUES(317,84,'card',3,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}');
INSERT INTO "change" VALUES(318,85,'card_event',64,NULL,'{"id":64,"card_id":3,"version":9,"key":"demo-090400","action":"safety plugs-out True","recorded_at":"2026-11-20 09:04:00.000000","digest":"e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7"}');
INSERT INTO "change" VALUES(319,85,'card',3,'{"version":8}','{"version":9}');
INSERT INTO "change" VALUES(320,85,'card',3,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}');
INSERT INTO "change" VALUES(321,86,'card_event',65,NULL,'{"id":65,"card_id":3,"version":10,"key":"demo-090700","action":"safety direction True","recorded_at":"2026-11-20 09:07:00.000000","digest":"1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9"}');
INSERT INTO "change" VALUES(322,86,'card',3,'{"version":9}','{"version":10}');
INSERT INTO "change" VALUES(323,86,'card',3,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\"]"}');
INSERT INTO "change" VALUES(324,87,'card_event',66,NULL,'{"id":66,"card_id":3,"version":11,"key":"demo-091000","action":"tray","recorded_at":"2026-11-20 09:10:00.000000","digest":"779b39466754f787278b690391eb1ffa18becbd1f05ba507f12972d9926bcfe6"}');
INSERT INTO "change" VALUES(325,87,'card',3,'{"version":10}','{"version":11}');
INSERT INTO "change" VALUES(326,87,'strip_tray',1,NULL,'{"id":1,"card_id":3,"document":"[{\"name\": \"Tank\", \"note\": \"Two clips, one bolt\", \"pockets\": [{\"x\": 0.5, \"y\": 0.85, \"length\": \"M8x40\", \"note\": \"\", \"count\": 1}]}, {\"name\": \"Air box\", \"note\": \"\", \"pockets\": []}, {\"name\": \"Coils\", \"note\": \"\", \"pockets\": []}, {\"name\": \"Spark plugs\", \"note\": \"\", \"pockets\": []}, {\"name\": \"Cover\", \"note\": \"\", \"pockets\": [{\"x\": 0.12, \"y\": 0.14, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.5, \"y\": 0.14, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.88, \"y\": 0.14, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.12, \"y\": 0.86, \"length\": \"45\", \"note\": \"\", \"count\": 1}, {\"x\": 0.5, \"y\": 0.86, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.88, \"y\": 0.86, \"length\": \"45\", \"note\": \"\", \"count\": 1}]}]","recorded_at":"2026-11-20 09:10:00.000000"}');
INSERT INTO "change" VALUES(327,88,'card_event',67,NULL,'{"id":67,"card_id":3,"version":12,"key":"demo-091300","action":"found 1 IN L 15","recorded_at":"2026-11-20 09:13:00.000000","digest":"4cb289c82ceac76dbff1d995e3da379e2651d60fc1b0ebe0bb2c31cf1aaddd6c"}');
INSERT INTO "change" VALUES(328,88,'card',3,'{"version":11}','{"version":12}');
INSERT INTO "change" VALUES(329,88,'gap_reading',13,NULL,'{"id":13,"purpose":"found","unit":"mm","goes":"[150000]","refuses":null,"feel":"drag","low_nm":150000,"high_nm":150000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"1 IN L","typed":"15","recorded_at":"2026-11-20 09:13:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(330,89,'card_event',68,NULL,'{"id":68,"card_id":3,"version":13,"key":"demo-091600","action":"found 1 IN R 13-15","recorded_at":"2026-11-20 09:16:00.000000","digest":"3c42376b8d72756859dd55062c836e1b751421cae4fdb9ce24258a6941d86a13"}');
INSERT INTO "change" VALUES(331,89,'card',3,'{"version":12}','{"version":13}');
INSERT INTO "change" VALUES(332,89,'gap_reading',14,NULL,'{"id":14,"purpose":"found","unit":"mm","goes":"[130000]","refuses":"[150000]","feel":null,"low_nm":130000,"high_nm":150000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"1 IN R","typed":"13-15","recorded_at":"2026-11-20 09:16:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(333,90,'card_event',69,NULL,'{"id":69,"card_id":3,"version":14,"key":"demo-091900","action":"found 1 EX L 23","recorded_at":"2026-11-20 09:19:00.000000","digest":"d01aed9f217f49f904fe33bb505a5c099502e464f2be1d5e82db0f4525cf264f"}');
INSERT INTO "change" VALUES(334,90,'card',3,'{"version":13}','{"version":14}');
INSERT INTO "change" VALUES(335,90,'gap_reading',15,NULL,'{"id":15,"purpose":"found","unit":"mm","goes":"[230000]","refuses":null,"feel":"drag","low_nm":230000,"high_nm":230000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"1 EX L","typed":"23","recorded_at":"2026-11-20 09:19:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(336,91,'card_event',70,NULL,'{"id":70,"card_id":3,"version":15,"key":"demo-092200","action":"found 1 EX R 18-20","recorded_at":"2026-11-20 09:22:00.000000","digest":"e96d375b63ec3fa59ecb58f13bbd44b0db22bb9f52924113c38c34340e57ffc3"}');
INSERT INTO "change" VALUES(337,91,'card',3,'{"version":14}','{"version":15}');
INSERT INTO "change" VALUES(338,91,'gap_reading',16,NULL,'{"id":16,"purpose":"found","unit":"mm","goes":"[180000]","refuses":"[200000]","feel":null,"low_nm":180000,"high_nm":200000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"1 EX R","typed":"18-20","recorded_at":"2026-11-20 09:22:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(339,92,'card_event',71,NULL,'{"id":71,"card_id":3,"version":16,"key":"demo-092500","action":"found 2 IN L 13","recorded_at":"2026-11-20 09:25:00.000000","digest":"9393d746d0b3fd991b248b2884c69e9dea150816071ccaa7d6cc28b4c7c9c4e9"}');
INSERT INTO "change" VALUES(340,92,'card',3,'{"version":15}','{"version":16}');
INSERT INTO "change" VALUES(341,92,'gap_reading',17,NULL,'{"id":17,"purpose":"found","unit":"mm","goes":"[130000]","refuses":null,"feel":"drag","low_nm":130000,"high_nm":130000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"2 IN L","typed":"13","recorded_at":"2026-11-20 09:25:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(342,93,'card_event',72,NULL,'{"id":72,"card_id":3,"version":17,"key":"demo-092800","action":"found 2 IN R 8-10","recorded_at":"2026-11-20 09:28:00.000000","digest":"3964531e05d8510d124c56a2484b4cba435e666f2ac9b57e5c2c17d7d7dde120"}');
INSERT INTO "change" VALUES(343,93,'card',3,'{"version":16}','{"version":17}');
INSERT INTO "change" VALUES(344,93,'gap_reading',18,NULL,'{"id":18,"purpose":"found","unit":"mm","goes":"[80000]","refuses":"[100000]","feel":null,"low_nm":80000,"high_nm":100000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"2 IN R","typed":"8-10","recorded_at":"2026-11-20 09:28:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(345,94,'card_event',73,NULL,'{"id":73,"card_id":3,"version":18,"key":"demo-093100","action":"found 2 EX L 25","recorded_at":"2026-11-20 09:31:00.000000","digest":"1aff68a1ca49a287d16336ba2081710af53071da86fbae30cc8dbea7a41e0ea0"}');
INSERT INTO "change" VALUES(346,94,'card',3,'{"version":17}','{"version":18}');
INSERT INTO "change" VALUES(347,94,'gap_reading',19,NULL,'{"id":19,"purpose":"found","unit":"mm","goes":"[250000]","refuses":null,"feel":"drag","low_nm":250000,"high_nm":250000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"2 EX L","typed":"25","recorded_at":"2026-11-20 09:31:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(348,95,'card_event',74,NULL,'{"id":74,"card_id":3,"version":19,"key":"demo-093400","action":"found 2 EX R x","recorded_at":"2026-11-20 09:34:00.000000","digest":"b8a7c1c30b3c535cc0af20fc55861e8e6692e1edf608598830e9c5e607d04000"}');
INSERT INTO "change" VALUES(349,95,'card',3,'{"version":18}','{"version":19}');
INSERT INTO "change" VALUES(350,95,'gap_reading',20,NULL,'{"id":20,"purpose":"found","unit":"mm","goes":null,"refuses":"[30000]","feel":null,"low_nm":null,"high_nm":30000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"2 EX R","typed":"x","recorded_at":"2026-11-20 09:34:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(351,96,'card_event',75,NULL,'{"id":75,"card_id":3,"version":20,"key":"demo-093700","action":"found 3 IN L 23","recorded_at":"2026-11-20 09:37:00.000000","digest":"6a17874b67d02e9ef854a6e68e8a79ffc44081eb6752e0a39eaf1c02837bb03d"}');
INSERT INTO "change" VALUES(352,96,'card',3,'{"version":19}','{"version":20}');
INSERT INTO "change" VALUES(353,96,'gap_reading',21,NULL,'{"id":21,"purpose":"found","unit":"mm","goes":"[230000]","refuses":null,"feel":"drag","low_nm":230000,"high_nm":230000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"3 IN L","typed":"23","recorded_at":"2026-11-20 09:37:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(354,97,'card_event',76,NULL,'{"id":76,"card_id":3,"version":21,"key":"demo-094000","action":"found 3 IN R 15","recorded_at":"2026-11-20 09:40:00.000000","digest":"6e7004fec4733f3cee431ad82dc83350422056e6bbbc425c4e936ee32f97f58d"}');
INSERT INTO "change" VALUES(355,97,'card',3,'{"version":20}','{"version":21}');
INSERT INTO "change" VALUES(356,97,'gap_reading',22,NULL,'{"id":22,"purpose":"found","unit":"mm","goes":"[150000]","refuses":null,"feel":"drag","low_nm":150000,"high_nm":150000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"3 IN R","typed":"15","recorded_at":"2026-11-20 09:40:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(357,98,'card_event',77,NULL,'{"id":77,"card_id":3,"version":22,"key":"demo-094300","action":"found 3 EX L 23-25","recorded_at":"2026-11-20 09:43:00.000000","digest":"7504326acdd974209e3b333ae85572d4afbbc68510a30235121204d4f553efb4"}');
INSERT INTO "change" VALUES(358,98,'card',3,'{"version":21}','{"version":22}');
INSERT INTO "change" VALUES(359,98,'gap_reading',23,NULL,'{"id":23,"purpose":"found","unit":"mm","goes":"[230000]","refuses":"[250000]","feel":null,"low_nm":230000,"high_nm":250000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"3 EX L","typed":"23-25","recorded_at":"2026-11-20 09:43:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(360,99,'card_event',78,NULL,'{"id":78,"card_id":3,"version":23,"key":"demo-094600","action":"found 3 EX R 28","recorded_at":"2026-11-20 09:46:00.000000","digest":"76e43c3c9d4091fed94b936c92d44f4e4724758495d26510792865eac30c2a34"}');
INSERT INTO "change" VALUES(361,99,'card',3,'{"version":22}','{"version":23}');
INSERT INTO "change" VALUES(362,99,'gap_reading',24,NULL,'{"id":24,"purpose":"found","unit":"mm","goes":"[280000]","refuses":null,"feel":"drag","low_nm":280000,"high_nm":280000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":3,"valve":"3 EX R","typed":"28","recorded_at":"2026-11-20 09:46:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(363,100,'card_event',79,NULL,'{"id":79,"card_id":3,"version":24,"key":"demo-094900","action":"piece 1 EX R 255 2.548","recorded_at":"2026-11-20 09:49:00.000000","digest":"78c33ae336c414e7c9d8a397f86953d3a83df9919be0beb40ac7833d7efa5830"}');
INSERT INTO "change" VALUES(364,100,'card',3,'{"version":23}','{"version":24}');
INSERT INTO "change" VALUES(365,100,'piece_reading',3,NULL,'{"id":3,"marked":"255","marked_nm":2550000,"measured_nm":2548000,"readings":"[2548000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"1 EX R","typed":"255 2.548","recorded_at":"2026-11-20 09:49:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(366,100,'shim',32,NULL,'{"id":32,"family_id":1,"marked":"255","marked_nm":2550000,"measured_nm":2548000,"thickness_nm":2548000,"condition":"sound","place":"engine","engine_id":1,"valve":"1 EX R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(367,100,'shim_move',36,NULL,'{"id":36,"shim_id":32,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"1 EX R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 09:49:00.000000"}');
INSERT INTO "change" VALUES(368,101,'card_event',80,NULL,'{"id":80,"card_id":3,"version":25,"key":"demo-095200","action":"piece 2 IN R 2475 2.472","recorded_at":"2026-11-20 09:52:00.000000","digest":"99f9bc75c5dd688f201e97d2781b8c9e03f9c6899a5f3b25bfa7f9f2411aaddc"}');
INSERT INTO "change" VALUES(369,101,'card',3,'{"version":24}','{"version":25}');
INSERT INTO "change" VALUES(370,101,'piece_reading',4,NULL,'{"id":4,"marked":"2475","marked_nm":2475000,"measured_nm":2472000,"readings":"[2472000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"2 IN R","typed":"2475 2.472","recorded_at":"2026-11-20 09:52:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(371,101,'shim',33,NULL,'{"id":33,"family_id":1,"marked":"2475","marked_nm":2475000,"measured_nm":2472000,"thickness_nm":2472000,"condition":"sound","place":"engine","engine_id":1,"valve":"2 IN R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(372,101,'shim_move',37,NULL,'{"id":37,"shim_id":33,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"2 IN R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 09:52:00.000000"}');
INSERT INTO "change" VALUES(373,102,'card_event',81,NULL,'{"id":81,"card_id":3,"version":26,"key":"demo-095500","action":"piece 2 EX R 260 2.596 2.597","recorded_at":"2026-11-20 09:55:00.000000","digest":"e1a255cb226003a02d8beea0e4a65e02ee9bbd78dc6d2f94491d757747e68a55"}');
INSERT INTO "change" VALUES(374,102,'card',3,'{"version":25}','{"version":26}');
INSERT INTO "change" VALUES(375,102,'piece_reading',5,NULL,'{"id":5,"marked":"260","marked_nm":2600000,"measured_nm":2596500,"readings":"[2596000, 2597000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"2 EX R","typed":"260 2.596 2.597","recorded_at":"2026-11-20 09:55:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(376,102,'shim',34,NULL,'{"id":34,"family_id":1,"marked":"260","marked_nm":2600000,"measured_nm":2596500,"thickness_nm":2596500,"condition":"sound","place":"engine","engine_id":1,"valve":"2 EX R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(377,102,'shim_move',38,NULL,'{"id":38,"shim_id":34,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"2 EX R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 09:55:00.000000"}');
INSERT INTO "change" VALUES(378,103,'card_event',82,NULL,'{"id":82,"card_id":3,"version":27,"key":"demo-095800","action":"piece 3 IN L 240 2.371","recorded_at":"2026-11-20 09:58:00.000000","digest":"11002be066cd7fdc2ef23c7f758b711145b54941304cd1b07b199ca7624df00c"}');
INSERT INTO "change" VALUES(379,103,'card',3,'{"version":26}','{"version":27}');
INSERT INTO "change" VALUES(380,103,'piece_reading',6,NULL,'{"id":6,"marked":"240","marked_nm":2400000,"measured_nm":2371000,"readings":"[2371000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"3 IN L","typed":"240 2.371","recorded_at":"2026-11-20 09:58:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(381,103,'shim',35,NULL,'{"id":35,"family_id":1,"marked":"240","marked_nm":2400000,"measured_nm":2371000,"thickness_nm":2371000,"condition":"sound","place":"engine","engine_id":1,"valve":"3 IN L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(382,103,'shim_move',39,NULL,'{"id":39,"shim_id":35,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"3 IN L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 09:58:00.000000"}');
INSERT INTO "change" VALUES(383,104,'card_event',83,NULL,'{"id":83,"card_id":3,"version":28,"key":"demo-100100","action":"piece 1 IN L 245 2.448","recorded_at":"2026-11-20 10:01:00.000000","digest":"22901e2823a7f6b3b4e1cdfdfac42915da71f68eddfe5b751fd08371d4ad762c"}');
INSERT INTO "change" VALUES(384,104,'card',3,'{"version":27}','{"version":28}');
INSERT INTO "change" VALUES(385,104,'piece_reading',7,NULL,'{"id":7,"marked":"245","marked_nm":2450000,"measured_nm":2448000,"readings":"[2448000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"1 IN L","typed":"245 2.448","recorded_at":"2026-11-20 10:01:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(386,104,'shim',36,NULL,'{"id":36,"family_id":1,"marked":"245","marked_nm":2450000,"measured_nm":2448000,"thickness_nm":2448000,"condition":"sound","place":"engine","engine_id":1,"valve":"1 IN L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(387,104,'shim_move',40,NULL,'{"id":40,"shim_id":36,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"1 IN L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 10:01:00.000000"}');
INSERT INTO "change" VALUES(388,105,'card_event',84,NULL,'{"id":84,"card_id":3,"version":29,"key":"demo-100400","action":"piece 2 IN L 2425 2.423","recorded_at":"2026-11-20 10:04:00.000000","digest":"f3091be1236a553bb500f77e11d658165f6cbeac0cc81c247fbaabe9b9e17fe0"}');
INSERT INTO "change" VALUES(389,105,'card',3,'{"version":28}','{"version":29}');
INSERT INTO "change" VALUES(390,105,'piece_reading',8,NULL,'{"id":8,"marked":"2425","marked_nm":2425000,"measured_nm":2423000,"readings":"[2423000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"2 IN L","typed":"2425 2.423","recorded_at":"2026-11-20 10:04:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(391,105,'shim',37,NULL,'{"id":37,"family_id":1,"marked":"2425","marked_nm":2425000,"measured_nm":2423000,"thickness_nm":2423000,"condition":"sound","place":"engine","engine_id":1,"valve":"2 IN L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(392,105,'shim_move',41,NULL,'{"id":41,"shim_id":37,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"2 IN L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 10:04:00.000000"}');
INSERT INTO "change" VALUES(393,106,'card_event',85,NULL,'{"id":85,"card_id":3,"version":30,"key":"demo-100700","action":"piece 3 IN R ?? 2.448","recorded_at":"2026-11-20 10:07:00.000000","digest":"8eb4f12b488986b05dec3be2e4ca06d97553b478ea727f2bd679b8b41487e09a"}');
INSERT INTO "change" VALUES(394,106,'card',3,'{"version":29}','{"version":30}');
INSERT INTO "change" VALUES(395,106,'piece_reading',9,NULL,'{"id":9,"marked":"??","marked_nm":null,"measured_nm":2448000,"readings":"[2448000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"3 IN R","typed":"?? 2.448","recorded_at":"2026-11-20 10:07:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(396,106,'shim',38,NULL,'{"id":38,"family_id":1,"marked":"??","marked_nm":null,"measured_nm":2448000,"thickness_nm":2448000,"condition":"sound","place":"engine","engine_id":1,"valve":"3 IN R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(397,106,'shim_move',42,NULL,'{"id":42,"shim_id":38,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"3 IN R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 10:07:00.000000"}');
INSERT INTO "change" VALUES(398,107,'card_event',86,NULL,'{"id":86,"card_id":3,"version":31,"key":"demo-101000","action":"piece 1 EX L 255 2.549","recorded_at":"2026-11-20 10:10:00.000000","digest":"4fe7716343efe0c46998abc8aff2bf1e475cc9edc0f022db5e91df90144133ea"}');
INSERT INTO "change" VALUES(399,107,'card',3,'{"version":30}','{"version":31}');
INSERT INTO "change" VALUES(400,107,'piece_reading',10,NULL,'{"id":10,"marked":"255","marked_nm":2550000,"measured_nm":2549000,"readings":"[2549000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"1 EX L","typed":"255 2.549","recorded_at":"2026-11-20 10:10:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(401,107,'shim',39,NULL,'{"id":39,"family_id":1,"marked":"255","marked_nm":2550000,"measured_nm":2549000,"thickness_nm":2549000,"condition":"sound","place":"engine","engine_id":1,"valve":"1 EX L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(402,107,'shim_move',43,NULL,'{"id":43,"shim_id":39,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"1 EX L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 10:10:00.000000"}');
INSERT INTO "change" VALUES(403,108,'card_event',87,NULL,'{"id":87,"card_id":3,"version":32,"key":"demo-101300","action":"piece 2 EX L 2525 2.522","recorded_at":"2026-11-20 10:13:00.000000","digest":"4e46c4d394380c5f590ded1f1f8204f59c750ff1b667568b41997011a3ca9535"}');
INSERT INTO "change" VALUES(404,108,'card',3,'{"version":31}','{"version":32}');
INSERT INTO "change" VALUES(405,108,'piece_reading',11,NULL,'{"id":11,"marked":"2525","marked_nm":2525000,"measured_nm":2522000,"readings":"[2522000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"2 EX L","typed":"2525 2.522","recorded_at":"2026-11-20 10:13:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(406,108,'shim',40,NULL,'{"id":40,"family_id":1,"marked":"2525","marked_nm":2525000,"measured_nm":2522000,"thickness_nm":2522000,"condition":"sound","place":"engine","engine_id":1,"valve":"2 EX L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(407,108,'shim_move',44,NULL,'{"id":44,"shim_id":40,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"2 EX L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 10:13:00.000000"}');
INSERT INTO "change" VALUES(408,109,'card_event',88,NULL,'{"id":88,"card_id":3,"version":33,"key":"demo-101600","action":"piece 3 EX R 250 2.501","recorded_at":"2026-11-20 10:16:00.000000","digest":"6c880809fa511cfdbf10257b444eddf703e56f6cafdd00ab5f067400502fffe8"}');
INSERT INTO "change" VALUES(409,109,'card',3,'{"version":32}','{"version":33}');
INSERT INTO "change" VALUES(410,109,'piece_reading',12,NULL,'{"id":12,"marked":"250","marked_nm":2500000,"measured_nm":2501000,"readings":"[2501000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":3,"valve":"3 EX R","typed":"250 2.501","recorded_at":"2026-11-20 10:16:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(411,109,'shim',41,NULL,'{"id":41,"family_id":1,"marked":"250","marked_nm":2500000,"measured_nm":2501000,"thickness_nm":2501000,"condition":"sound","place":"engine","engine_id":1,"valve":"3 EX R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(412,109,'shim_move',45,NULL,'{"id":45,"shim_id":41,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 1, \"valve\": \"3 EX R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 3","moved_at":"2026-11-20 10:16:00.000000"}');
INSERT INTO "change" VALUES(413,110,'card',4,NULL,'{"id":4,"engine_revision_id":4,"version":1,"opened_at":"2026-11-22 08:40:00.000000","opened_by":"Sanna Veldrig","reason":"Interval, and a light tick","distance_km":11980,"aim":"loose","rounding":"nearest","act":"out","signed_at":null,"signed_by":null,"hours":null,"put_away_at":null,"kind":"set","only_valve":null,"change_nm":null,"distance_mi":null,"symptoms":"","checks":null,"notes":"{}","bill":"[]","rested_hours":null,"temperature_c":null,"warm_reason":"","method":"marks","seen_to":"[]","blade_set_id":1,"trust":"measured","reuse":1,"variant":"best","tightening":"[]","recalled":"{}","forbidden":"[]","opened_too":"[]","instrument_id":1,"zero_nm":null,"as_signed":null,"remarks":null,"next_check_km":null,"next_check_mi":null,"next_check_hours":null,"next_check_on":null,"origin":null}');
INSERT INTO "change" VALUES(414,110,'round',4,NULL,'{"id":4,"card_id":4,"number":1,"opened_at":"2026-11-22 08:40:00.000000","reason":"","hand_turns":0}');
INSERT INTO "change" VALUES(415,111,'card_event',89,NULL,'{"id":89,"card_id":4,"version":2,"key":"demo-084300","action":"conditions","recorded_at":"2026-11-22 08:43:00.000000","digest":"48c4cb5a390a99cd9bb73066db1ca97dc213c5cdad77a0f8b429f47d7ea842fc"}');
INSERT INTO "change" VALUES(416,111,'card',4,'{"version":1,"rested_hours":null,"temperature_c":null}','{"version":2,"rested_hours":"30","temperature_c":"6"}');
INSERT INTO "change" VALUES(417,112,'card_event',90,NULL,'{"id":90,"card_id":4,"version":3,"key":"demo-084600","action":"safety power True","recorded_at":"2026-11-22 08:46:00.000000","digest":"d44c90b4d8e6d6058376087c979a4722e59d4130945a9c35265a996e46eeda6b"}');
INSERT INTO "change" VALUES(418,112,'card',4,'{"version":2}','{"version":3}');
INSERT INTO "change" VALUES(419,112,'card',4,'{"seen_to":"[]"}','{"seen_to":"[\"power\"]"}');
INSERT INTO "change" VALUES(420,113,'card_event',91,NULL,'{"id":91,"card_id":4,"version":4,"key":"demo-084900","action":"safety stand True","recorded_at":"2026-11-22 08:49:00.000000","digest":"0244c884c8e7cbd3a9dc1431eec609b0a4ee5d08df33f9994820ab56f216d334"}');
INSERT INTO "change" VALUES(421,113,'card',4,'{"version":3}','{"version":4}');
INSERT INTO "change" VALUES(422,113,'card',4,'{"seen_to":"[\"power\"]"}','{"seen_to":"[\"power\", \"stand\"]"}');
INSERT INTO "change" VALUES(423,114,'card_event',92,NULL,'{"id":92,"card_id":4,"version":5,"key":"demo-085200","action":"safety fuel True","recorded_at":"2026-11-22 08:52:00.000000","digest":"5e2fd50e4b501be84cc71e4b3b686836564c8c912103ce61657b7ee66e10977d"}');
INSERT INTO "change" VALUES(424,114,'card',4,'{"version":4}','{"version":5}');
INSERT INTO "change" VALUES(425,114,'card',4,'{"seen_to":"[\"power\", \"stand\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}');
INSERT INTO "change" VALUES(426,115,'card_event',93,NULL,'{"id":93,"card_id":4,"version":6,"key":"demo-085500","action":"safety hands True","recorded_at":"2026-11-22 08:55:00.000000","digest":"375c09a5581646743359eeae46c2ba0843c4321547321592666e18d7ddd6b592"}');
INSERT INTO "change" VALUES(427,115,'card',4,'{"version":5}','{"version":6}');
INSERT INTO "change" VALUES(428,115,'card',4,'{"seen_to":"[\"power\", \"stand\", \"fuel\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}');
INSERT INTO "change" VALUES(429,116,'card_event',94,NULL,'{"id":94,"card_id":4,"version":7,"key":"demo-085800","action":"safety clean True","recorded_at":"2026-11-22 08:58:00.000000","digest":"817e058c4a15ad3dc06ff3b7363c1c062c1b9df2a6be2a7fc84c28e361f4caba"}');
INSERT INTO "change" VALUES(430,116,'card',4,'{"version":6}','{"version":7}');
INSERT INTO "change" VALUES(431,116,'card',4,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}');
INSERT INTO "change" VALUES(432,117,'card_event',95,NULL,'{"id":95,"card_id":4,"version":8,"key":"demo-090100","action":"safety plug True","recorded_at":"2026-11-22 09:01:00.000000","digest":"ac1b0fb695cdf94e71e9b6a42ffefbcca112349ba0ea54c1d605a35459fd212b"}');
INSERT INTO "change" VALUES(433,117,'card',4,'{"version":7}','{"version":8}');
INSERT INTO "change" VALUES(434,117,'card',4,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}');
INSERT INTO "change" VALUES(435,118,'card_event',96,NULL,'{"id":96,"card_id":4,"version":9,"key":"demo-090400","action":"safety plugs-out True","recorded_at":"2026-11-22 09:04:00.000000","digest":"e0ae99f852d205d6d18ae41fc49daa8966490c244a0889c0185ede0aefa93fc7"}');
INSERT INTO "change" VALUES(436,118,'card',4,'{"version":8}','{"version":9}');
INSERT INTO "change" VALUES(437,118,'card',4,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}');
INSERT INTO "change" VALUES(438,119,'card_event',97,NULL,'{"id":97,"card_id":4,"version":10,"key":"demo-090700","action":"safety direction True","recorded_at":"2026-11-22 09:07:00.000000","digest":"1a4e1196b978de5e1a01d18d1caff3e3f7c960ce4847810ceabf6fb15d1320b9"}');
INSERT INTO "change" VALUES(439,119,'card',4,'{"version":9}','{"version":10}');
INSERT INTO "change" VALUES(440,119,'card',4,'{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\"]"}','{"seen_to":"[\"power\", \"stand\", \"fuel\", \"hands\", \"clean\", \"plug\", \"plugs-out\", \"direction\"]"}');
INSERT INTO "change" VALUES(441,120,'card_event',98,NULL,'{"id":98,"card_id":4,"version":11,"key":"demo-091000","action":"tray","recorded_at":"2026-11-22 09:10:00.000000","digest":"779b39466754f787278b690391eb1ffa18becbd1f05ba507f12972d9926bcfe6"}');
INSERT INTO "change" VALUES(442,120,'card',4,'{"version":10}','{"version":11}');
INSERT INTO "change" VALUES(443,120,'strip_tray',2,NULL,'{"id":2,"card_id":4,"document":"[{\"name\": \"Tank\", \"note\": \"Two clips, one bolt\", \"pockets\": [{\"x\": 0.5, \"y\": 0.85, \"length\": \"M8x40\", \"note\": \"\", \"count\": 1}]}, {\"name\": \"Air box\", \"note\": \"\", \"pockets\": []}, {\"name\": \"Coils\", \"note\": \"\", \"pockets\": []}, {\"name\": \"Spark plugs\", \"note\": \"\", \"pockets\": []}, {\"name\": \"Cover\", \"note\": \"\", \"pockets\": [{\"x\": 0.12, \"y\": 0.14, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.5, \"y\": 0.14, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.88, \"y\": 0.14, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.12, \"y\": 0.86, \"length\": \"45\", \"note\": \"\", \"count\": 1}, {\"x\": 0.5, \"y\": 0.86, \"length\": \"30\", \"note\": \"\", \"count\": 1}, {\"x\": 0.88, \"y\": 0.86, \"length\": \"45\", \"note\": \"\", \"count\": 1}]}]","recorded_at":"2026-11-22 09:10:00.000000"}');
INSERT INTO "change" VALUES(444,121,'card_event',99,NULL,'{"id":99,"card_id":4,"version":12,"key":"demo-091300","action":"found 1 IN L 12","recorded_at":"2026-11-22 09:13:00.000000","digest":"649df2718c0e16fb130b1d28d20a8f3f6668791bb4ad0a954a37542860f4f0d9"}');
INSERT INTO "change" VALUES(445,121,'card',4,'{"version":11}','{"version":12}');
INSERT INTO "change" VALUES(446,121,'gap_reading',25,NULL,'{"id":25,"purpose":"found","unit":"mm","goes":"[120000]","refuses":null,"feel":"drag","low_nm":120000,"high_nm":120000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 IN L","typed":"12","recorded_at":"2026-11-22 09:13:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(447,122,'card_event',100,NULL,'{"id":100,"card_id":4,"version":13,"key":"demo-091600","action":"found 1 IN R 7","recorded_at":"2026-11-22 09:16:00.000000","digest":"778f027745c84ab63b653e46b6b326e2fa3671ac6270e5b92ae9fd818a13393f"}');
INSERT INTO "change" VALUES(448,122,'card',4,'{"version":12}','{"version":13}');
INSERT INTO "change" VALUES(449,122,'gap_reading',26,NULL,'{"id":26,"purpose":"found","unit":"mm","goes":"[70000]","refuses":null,"feel":"drag","low_nm":70000,"high_nm":70000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 IN R","typed":"7","recorded_at":"2026-11-22 09:16:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(450,123,'card_event',101,NULL,'{"id":101,"card_id":4,"version":14,"key":"demo-091900","action":"found 1 EX L 25","recorded_at":"2026-11-22 09:19:00.000000","digest":"b9d3748e8a76448bfab502b1dd37f3395e1ef4b736f14d9a943d876158d9c374"}');
INSERT INTO "change" VALUES(451,123,'card',4,'{"version":13}','{"version":14}');
INSERT INTO "change" VALUES(452,123,'gap_reading',27,NULL,'{"id":27,"purpose":"found","unit":"mm","goes":"[250000]","refuses":null,"feel":"drag","low_nm":250000,"high_nm":250000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 EX L","typed":"25","recorded_at":"2026-11-22 09:19:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(453,124,'card_event',102,NULL,'{"id":102,"card_id":4,"version":15,"key":"demo-092200","action":"found 1 EX R 15-18","recorded_at":"2026-11-22 09:22:00.000000","digest":"1c3db953260091c71af333e88f0a1820a2aa9ffe09e67220bcb3db118ebfa598"}');
INSERT INTO "change" VALUES(454,124,'card',4,'{"version":14}','{"version":15}');
INSERT INTO "change" VALUES(455,124,'gap_reading',28,NULL,'{"id":28,"purpose":"found","unit":"mm","goes":"[150000]","refuses":"[180000]","feel":null,"low_nm":150000,"high_nm":180000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 EX R","typed":"15-18","recorded_at":"2026-11-22 09:22:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(456,125,'card_event',103,NULL,'{"id":103,"card_id":4,"version":16,"key":"demo-092500","action":"found 2 IN L 13","recorded_at":"2026-11-22 09:25:00.000000","digest":"9393d746d0b3fd991b248b2884c69e9dea150816071ccaa7d6cc28b4c7c9c4e9"}');
INSERT INTO "change" VALUES(457,125,'card',4,'{"version":15}','{"version":16}');
INSERT INTO "change" VALUES(458,125,'gap_reading',29,NULL,'{"id":29,"purpose":"found","unit":"mm","goes":"[130000]","refuses":null,"feel":"drag","low_nm":130000,"high_nm":130000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"2 IN L","typed":"13","recorded_at":"2026-11-22 09:25:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(459,126,'card_event',104,NULL,'{"id":104,"card_id":4,"version":17,"key":"demo-092800","action":"found 2 IN R 8","recorded_at":"2026-11-22 09:28:00.000000","digest":"69df3829e2d57dfc099d300e679de8e00ea0cf01649663030ef895dae835da8c"}');
INSERT INTO "change" VALUES(460,126,'card',4,'{"version":16}','{"version":17}');
INSERT INTO "change" VALUES(461,126,'gap_reading',30,NULL,'{"id":30,"purpose":"found","unit":"mm","goes":"[80000]","refuses":null,"feel":"drag","low_nm":80000,"high_nm":80000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"2 IN R","typed":"8","recorded_at":"2026-11-22 09:28:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(462,127,'card_event',105,NULL,'{"id":105,"card_id":4,"version":18,"key":"demo-093100","action":"found 2 EX L 20","recorded_at":"2026-11-22 09:31:00.000000","digest":"616a36e62a91a90d5c411e8b9402b9b19c9243df8257a721f2cd6408b782a542"}');
INSERT INTO "change" VALUES(463,127,'card',4,'{"version":17}','{"version":18}');
INSERT INTO "change" VALUES(464,127,'gap_reading',31,NULL,'{"id":31,"purpose":"found","unit":"mm","goes":"[200000]","refuses":null,"feel":"drag","low_nm":200000,"high_nm":200000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"2 EX L","typed":"20","recorded_at":"2026-11-22 09:31:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(465,128,'card_event',106,NULL,'{"id":106,"card_id":4,"version":19,"key":"demo-093400","action":"found 2 EX R 23-25","recorded_at":"2026-11-22 09:34:00.000000","digest":"449d72a6c2a9c3b81d4dfcf56f35977398e4af6076efd8cf1f5473045a55b9d4"}');
INSERT INTO "change" VALUES(466,128,'card',4,'{"version":18}','{"version":19}');
INSERT INTO "change" VALUES(467,128,'gap_reading',32,NULL,'{"id":32,"purpose":"found","unit":"mm","goes":"[230000]","refuses":"[250000]","feel":null,"low_nm":230000,"high_nm":250000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"2 EX R","typed":"23-25","recorded_at":"2026-11-22 09:34:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(468,129,'card_event',107,NULL,'{"id":107,"card_id":4,"version":20,"key":"demo-093700","action":"piece 1 IN R 260 2.602","recorded_at":"2026-11-22 09:37:00.000000","digest":"953243a3fde1684d13afe599e31d997b9f1bc2e43e33880fe49cc07cc0dfba46"}');
INSERT INTO "change" VALUES(469,129,'card',4,'{"version":19}','{"version":20}');
INSERT INTO "change" VALUES(470,129,'piece_reading',13,NULL,'{"id":13,"marked":"260","marked_nm":2600000,"measured_nm":2602000,"readings":"[2602000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":4,"valve":"1 IN R","typed":"260 2.602","recorded_at":"2026-11-22 09:37:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(471,129,'shim',42,NULL,'{"id":42,"family_id":1,"marked":"260","marked_nm":2600000,"measured_nm":2602000,"thickness_nm":2602000,"condition":"sound","place":"engine","engine_id":4,"valve":"1 IN R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(472,129,'shim_move',46,NULL,'{"id":46,"shim_id":42,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 4, \"valve\": \"1 IN R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 4","moved_at":"2026-11-22 09:37:00.000000"}');
INSERT INTO "change" VALUES(473,130,'card_event',108,NULL,'{"id":108,"card_id":4,"version":21,"key":"demo-094000","action":"piece 1 EX R 264 2.641","recorded_at":"2026-11-22 09:40:00.000000","digest":"b4062d30036591b4f99404e69e09984f6ff085de6c36e0d3393fdd5939b72b75"}');
INSERT INTO "change" VALUES(474,130,'card',4,'{"version":20}','{"version":21}');
INSERT INTO "change" VALUES(475,130,'piece_reading',14,NULL,'{"id":14,"marked":"264","marked_nm":2640000,"measured_nm":2641000,"readings":"[2641000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":4,"valve":"1 EX R","typed":"264 2.641","recorded_at":"2026-11-22 09:40:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(476,130,'shim',43,NULL,'{"id":43,"family_id":1,"marked":"264","marked_nm":2640000,"measured_nm":2641000,"thickness_nm":2641000,"condition":"sound","place":"engine","engine_id":4,"valve":"1 EX R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(477,130,'shim_move',47,NULL,'{"id":47,"shim_id":43,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 4, \"valve\": \"1 EX R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 4","moved_at":"2026-11-22 09:40:00.000000"}');
INSERT INTO "change" VALUES(478,131,'card_event',109,NULL,'{"id":109,"card_id":4,"version":22,"key":"demo-094300","action":"piece 2 IN R 252 2.520","recorded_at":"2026-11-22 09:43:00.000000","digest":"fd1cb48025e1ae06ce5857f96959d952df5088a02acdeb28fd86104ed90038fd"}');
INSERT INTO "change" VALUES(479,131,'card',4,'{"version":21}','{"version":22}');
INSERT INTO "change" VALUES(480,131,'piece_reading',15,NULL,'{"id":15,"marked":"252","marked_nm":2520000,"measured_nm":2520000,"readings":"[2520000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":4,"valve":"2 IN R","typed":"252 2.520","recorded_at":"2026-11-22 09:43:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(481,131,'shim',44,NULL,'{"id":44,"family_id":1,"marked":"252","marked_nm":2520000,"measured_nm":2520000,"thickness_nm":2520000,"condition":"sound","place":"engine","engine_id":4,"valve":"2 IN R","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(482,131,'shim_move',48,NULL,'{"id":48,"shim_id":44,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 4, \"valve\": \"2 IN R\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 4","moved_at":"2026-11-22 09:43:00.000000"}');
INSERT INTO "change" VALUES(483,132,'card_event',110,NULL,'{"id":110,"card_id":4,"version":23,"key":"demo-094600","action":"piece 2 EX L 256 2.561","recorded_at":"2026-11-22 09:46:00.000000","digest":"204307a35172051472d6c70946576f9b6033bd5dd92fb834b95840968a64c81a"}');
INSERT INTO "change" VALUES(484,132,'card',4,'{"version":22}','{"version":23}');
INSERT INTO "change" VALUES(485,132,'piece_reading',16,NULL,'{"id":16,"marked":"256","marked_nm":2560000,"measured_nm":2561000,"readings":"[2561000]","condition":"sound","doubt_nm":4000,"zero_nm":0,"answered":null,"supersedes_id":null,"round_id":4,"valve":"2 EX L","typed":"256 2.561","recorded_at":"2026-11-22 09:46:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(486,132,'shim',45,NULL,'{"id":45,"family_id":1,"marked":"256","marked_nm":2560000,"measured_nm":2561000,"thickness_nm":2561000,"condition":"sound","place":"engine","engine_id":4,"valve":"2 EX L","card_id":null,"order_line_id":null}');
INSERT INTO "change" VALUES(487,132,'shim_move',49,NULL,'{"id":49,"shim_id":45,"left":null,"reached":"{\"where\": \"engine\", \"engine_id\": 4, \"valve\": \"2 EX L\", \"card_id\": null, \"order_line_id\": null}","why":"read on card 4","moved_at":"2026-11-22 09:46:00.000000"}');
INSERT INTO "change" VALUES(488,133,'card_event',111,NULL,'{"id":111,"card_id":4,"version":24,"key":"demo-094900","action":"variant only-new","recorded_at":"2026-11-22 09:49:00.000000","digest":"873dc1c52cfe5f38fe1e1171579d702e02ccb2dcc798372ac414ea14e2666e87"}');
INSERT INTO "change" VALUES(489,133,'card',4,'{"version":23,"variant":"best"}','{"version":24,"variant":"only-new"}');
INSERT INTO "change" VALUES(490,134,'card_event',112,NULL,'{"id":112,"card_id":4,"version":25,"key":"demo-095200","action":"take plan","recorded_at":"2026-11-22 09:52:00.000000","digest":"1ef0cc017268f40a7dd6bbbe66191cf494cc49929e9547a981094c19f3e14d3f"}');
INSERT INTO "change" VALUES(491,134,'card',4,'{"version":24}','{"version":25}');
INSERT INTO "change" VALUES(492,134,'choice',5,NULL,'{"id":5,"thickness_nm":2520000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":null,"made_from":"[70000, 70000, null, 2602000, 100000, 170000, 100000, 170000]","doubt_nm":null,"supersedes_id":null,"round_id":4,"valve":"1 IN R","typed":"2.52","recorded_at":"2026-11-22 09:52:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(493,134,'choice',6,NULL,'{"id":6,"thickness_nm":2560000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":null,"made_from":"[150000, 180000, null, 2641000, 220000, 290000, 220000, 290000]","doubt_nm":null,"supersedes_id":null,"round_id":4,"valve":"1 EX R","typed":"2.56","recorded_at":"2026-11-22 09:52:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(494,134,'choice',7,NULL,'{"id":7,"thickness_nm":2480000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":null,"made_from":"[80000, 80000, null, 2520000, 100000, 170000, 100000, 170000]","doubt_nm":null,"supersedes_id":null,"round_id":4,"valve":"2 IN R","typed":"2.48","recorded_at":"2026-11-22 09:52:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(495,134,'choice',8,NULL,'{"id":8,"thickness_nm":2520000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":null,"made_from":"[200000, 200000, null, 2561000, 220000, 290000, 220000, 290000]","doubt_nm":null,"supersedes_id":null,"round_id":4,"valve":"2 EX L","typed":"2.52","recorded_at":"2026-11-22 09:52:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(496,135,'card_event',113,NULL,'{"id":113,"card_id":4,"version":26,"key":"demo-095500","action":"bolts Cam caps","recorded_at":"2026-11-22 09:55:00.000000","digest":"3445150e51c4ab24a461b0c801723137458ef5f2c2834bbfc4224c9d9aae8f80"}');
INSERT INTO "change" VALUES(497,135,'card',4,'{"version":25,"tightening":"[]"}','{"version":26,"tightening":"[{\"name\": \"Cam caps\", \"places\": [[0.1, 0.1], [0.5, 0.1], [0.9, 0.1], [0.1, 0.35], [0.5, 0.35], [0.9, 0.35], [0.1, 0.65], [0.5, 0.65], [0.9, 0.65], [0.1, 0.9], [0.5, 0.9], [0.9, 0.9]], \"torque\": \"10\", \"unit\": \"N\\u00b7m\", \"thread\": \"M6\", \"order\": null, \"turned\": 0}]"}');
INSERT INTO "change" VALUES(498,135,'engine_revision',7,NULL,'{"id":7,"engine_id":4,"number":2,"document":"{\n \"format\": \"plimb-engine\",\n \"version\": 1,\n \"unit\": \"mm\",\n \"engine\": {\n  \"name\": \"Corrie Offbeat 690\",\n  \"source\": \"Ostrel workshop book\",\n  \"page\": \"77\",\n  \"follower\": \"bucket-under\",\n  \"camshaft_out\": true,\n  \"crank\": {\n   \"rotation\": \"clockwise\",\n   \"cylinders\": [\n    {\n     \"number\": 1,\n     \"fires_at\": 0\n    },\n    {\n     \"number\": 2,\n     \"fires_at\": 270\n    }\n   ],\n   \"marks\": [\n    {\n     \"name\": \"I\",\n     \"degrees\": 0,\n     \"cue\": \"left pair of lobes up and outwards\",\n     \"count\": \"19 pins from the arrow on the exhaust wheel to the one on the intake wheel\",\n     \"valves\": [\n      \"1 IN L\",\n      \"1 IN R\",\n      \"1 EX L\",\n      \"1 EX R\"\n     ]\n    },\n    {\n     \"name\": \"II\",\n     \"degrees\": 270,\n     \"cue\": \"right pair of lobes up and outwards\",\n     \"valves\": [\n      \"2 IN L\",\n      \"2 IN R\",\n      \"2 EX L\",\n      \"2 EX R\"\n     ]\n    }\n   ]\n  },\n  \"camshafts\": [\n   {\n    \"id\": \"IN\",\n    \"side\": \"intake\"\n   },\n   {\n    \"id\": \"EX\",\n    \"side\": \"exhaust\"\n   }\n  ],\n  \"valves\": [\n   {\n    \"id\": \"1 IN L\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"1 IN R\",\n    \"cylinder\": 1,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"1 EX L\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"1 EX R\",\n    \"cylinder\": 1,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"2 IN L\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"2 IN R\",\n    \"cylinder\": 2,\n    \"side\": \"intake\",\n    \"camshaft\": \"IN\",\n    \"position\": \"right\"\n   },\n   {\n    \"id\": \"2 EX L\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"left\"\n   },\n   {\n    \"id\": \"2 EX R\",\n    \"cylinder\": 2,\n    \"side\": \"exhaust\",\n    \"camshaft\": \"EX\",\n    \"position\": \"right\"\n   }\n  ],\n  \"spec\": {\n   \"intake\": {\n    \"min\": 0.1,\n    \"max\": 0.17\n   },\n   \"exhaust\": {\n    \"min\": 0.22,\n    \"max\": 0.29\n   }\n  },\n  \"family\": {\n   \"diameter\": 8.9,\n   \"runs\": [\n    {\n     \"from\": 1.6,\n     \"to\": 3.2,\n     \"step\": 0.04\n    }\n   ],\n   \"price\": 7.9\n  },\n  \"layout\": {\n   \"crank\": \"across\",\n   \"banks\": [\n    {\n     \"id\": \"head\",\n     \"cylinders\": [\n      1,\n      2\n     ],\n     \"intake\": \"rear\"\n    }\n   ]\n  },\n  \"events\": {\n   \"intake\": {\n    \"opens_btdc\": 20,\n    \"closes_abdc\": 60\n   },\n   \"exhaust\": {\n    \"opens_bbdc\": 60,\n    \"closes_atdc\": 20\n   },\n   \"ramp\": 20\n  },\n  \"owner\": \"The school, road class\",\n  \"plate\": \"OHC 11\",\n  \"counter\": \"km\",\n  \"interval\": 12000,\n  \"caps\": \"IN 1 to IN 4 and EX 1 to EX 4, arrows to the chain\",\n  \"tensioner\": \"Spring kind: centre screw out first, while it is bolted on; back in last\",\n  \"tools\": [\n   \"Long 8 mm socket for the cover\",\n   \"Crank socket 17 mm\"\n  ],\n  \"parts\": [\n   {\n    \"what\": \"Cover gasket\",\n    \"number\": \"OH-1120\",\n    \"count\": 1,\n    \"price\": 14.5\n   },\n   {\n    \"what\": \"Plug-hole seals\",\n    \"number\": \"OH-1133\",\n    \"count\": 2,\n    \"price\": 3.2\n   },\n   {\n    \"what\": \"Sealant, at both half moons\",\n    \"number\": \"OH-9\",\n    \"count\": 1,\n    \"price\": null\n   }\n  ],\n  \"notes\": {\n   \"fit\": \"The left intake cap binds: tap it home by hand before the bolts.\"\n  },\n  \"bolts\": [\n   {\n    \"name\": \"Cam caps\",\n    \"places\": [\n     [\n      0.1,\n      0.1\n     ],\n     [\n      0.5,\n      0.1\n     ],\n     [\n      0.9,\n      0.1\n     ],\n     [\n      0.1,\n      0.35\n     ],\n     [\n      0.5,\n      0.35\n     ],\n     [\n      0.9,\n      0.35\n     ],\n     [\n      0.1,\n      0.65\n     ],\n     [\n      0.5,\n      0.65\n     ],\n     [\n      0.9,\n      0.65\n     ],\n     [\n      0.1,\n      0.9\n     ],\n     [\n      0.5,\n      0.9\n     ],\n     [\n      0.9,\n      0.9\n     ]\n    ],\n    \"torque\": \"10\",\n    \"unit\": \"N·m\",\n    \"thread\": \"M6\",\n    \"order\": null,\n    \"turned\": 0\n   }\n  ]\n }\n}","recorded_at":"2026-11-22 09:55:00.000000"}');
INSERT INTO "change" VALUES(499,135,'card',4,'{"engine_revision_id":4}','{"engine_revision_id":7}');
INSERT INTO "change" VALUES(500,136,'card_event',114,NULL,'{"id":114,"card_id":4,"version":27,"key":"demo-095800","action":"turned Cam caps 17","recorded_at":"2026-11-22 09:58:00.000000","digest":"ac6766b0c79c5fff1bb93bf7f71b913124bafc49a855548042d85b0325a4be8f"}');
INSERT INTO "change" VALUES(501,136,'card',4,'{"version":26,"tightening":"[{\"name\": \"Cam caps\", \"places\": [[0.1, 0.1], [0.5, 0.1], [0.9, 0.1], [0.1, 0.35], [0.5, 0.35], [0.9, 0.35], [0.1, 0.65], [0.5, 0.65], [0.9, 0.65], [0.1, 0.9], [0.5, 0.9], [0.9, 0.9]], \"torque\": \"10\", \"unit\": \"N\\u00b7m\", \"thread\": \"M6\", \"order\": null, \"turned\": 0}]"}','{"version":27,"tightening":"[{\"name\": \"Cam caps\", \"places\": [[0.1, 0.1], [0.5, 0.1], [0.9, 0.1], [0.1, 0.35], [0.5, 0.35], [0.9, 0.35], [0.1, 0.65], [0.5, 0.65], [0.9, 0.65], [0.1, 0.9], [0.5, 0.9], [0.9, 0.9]], \"torque\": \"10\", \"unit\": \"N\\u00b7m\", \"thread\": \"M6\", \"order\": null, \"turned\": 17}]"}');
INSERT INTO "change" VALUES(502,137,'card_event',115,NULL,'{"id":115,"card_id":4,"version":28,"key":"demo-100100","action":"fit 1 IN R True","recorded_at":"2026-11-22 10:01:00.000000","digest":"543eb082aee3a36bb5cff844095106bea7b748a90ca720665f11fa05016b6f54"}');
INSERT INTO "change" VALUES(503,137,'card',4,'{"version":27}','{"version":28}');
INSERT INTO "change" VALUES(504,137,'choice',5,'{"superseded_at":null}','{"superseded_at":"2026-11-22 10:01:00.000000"}');
INSERT INTO "change" VALUES(505,137,'choice',9,NULL,'{"id":9,"thickness_nm":2520000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":"2026-11-22 10:01:00.000000","made_from":"[70000, 70000, null, 2602000, 100000, 170000, 100000, 170000]","doubt_nm":null,"supersedes_id":5,"round_id":4,"valve":"1 IN R","typed":"2.52","recorded_at":"2026-11-22 10:01:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(506,138,'card_event',116,NULL,'{"id":116,"card_id":4,"version":29,"key":"demo-100400","action":"fit 1 EX R True","recorded_at":"2026-11-22 10:04:00.000000","digest":"118509332b86890869a78bb9e3bff41e09d5b3325ffba8da384a21811122720f"}');
INSERT INTO "change" VALUES(507,138,'card',4,'{"version":28}','{"version":29}');
INSERT INTO "change" VALUES(508,138,'choice',6,'{"superseded_at":null}','{"superseded_at":"2026-11-22 10:04:00.000000"}');
INSERT INTO "change" VALUES(509,138,'choice',10,NULL,'{"id":10,"thickness_nm":2560000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":"2026-11-22 10:04:00.000000","made_from":"[150000, 180000, null, 2641000, 220000, 290000, 220000, 290000]","doubt_nm":null,"supersedes_id":6,"round_id":4,"valve":"1 EX R","typed":"2.56","recorded_at":"2026-11-22 10:04:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(510,139,'card_event',117,NULL,'{"id":117,"card_id":4,"version":30,"key":"demo-100700","action":"fit 2 IN R True","recorded_at":"2026-11-22 10:07:00.000000","digest":"6061d2dcc8a936f87ff68fa74cfb05ef631c2487740e1d43de0d1ace3d602271"}');
INSERT INTO "change" VALUES(511,139,'card',4,'{"version":29}','{"version":30}');
INSERT INTO "change" VALUES(512,139,'choice',7,'{"superseded_at":null}','{"superseded_at":"2026-11-22 10:07:00.000000"}');
INSERT INTO "change" VALUES(513,139,'choice',11,NULL,'{"id":11,"thickness_nm":2480000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":"2026-11-22 10:07:00.000000","made_from":"[80000, 80000, null, 2520000, 100000, 170000, 100000, 170000]","doubt_nm":null,"supersedes_id":7,"round_id":4,"valve":"2 IN R","typed":"2.48","recorded_at":"2026-11-22 10:07:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(514,140,'card_event',118,NULL,'{"id":118,"card_id":4,"version":31,"key":"demo-101000","action":"fit 2 EX L True","recorded_at":"2026-11-22 10:10:00.000000","digest":"8217f2edc0a1a14fee06bda91b0ac085a63d1b7ed2ace658aa07bbae014f1f59"}');
INSERT INTO "change" VALUES(515,140,'card',4,'{"version":30}','{"version":31}');
INSERT INTO "change" VALUES(516,140,'choice',8,'{"superseded_at":null}','{"superseded_at":"2026-11-22 10:10:00.000000"}');
INSERT INTO "change" VALUES(517,140,'choice',12,NULL,'{"id":12,"thickness_nm":2520000,"source":"counter","from_valve":null,"by_hand":0,"shim_id":null,"by_marking":1,"measured_nm":null,"fitted_at":"2026-11-22 10:10:00.000000","made_from":"[200000, 200000, null, 2561000, 220000, 290000, 220000, 290000]","doubt_nm":null,"supersedes_id":8,"round_id":4,"valve":"2 EX L","typed":"2.52","recorded_at":"2026-11-22 10:10:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(518,141,'card_event',119,NULL,'{"id":119,"card_id":4,"version":32,"key":"demo-101300","action":"turns 2","recorded_at":"2026-11-22 10:13:00.000000","digest":"fdc69c5197588c8d8f2379d4e853ef1615bb8141876d47e366e74f3e962ca8ea"}');
INSERT INTO "change" VALUES(519,141,'card',4,'{"version":31}','{"version":32}');
INSERT INTO "change" VALUES(520,141,'round',4,'{"hand_turns":0}','{"hand_turns":2}');
INSERT INTO "change" VALUES(521,142,'card_event',120,NULL,'{"id":120,"card_id":4,"version":33,"key":"demo-101600","action":"proof 1 IN R 18-20","recorded_at":"2026-11-22 10:16:00.000000","digest":"34b4a8ddb72c51cd4578f41b31314bed101feffa3f4e8bdbefbb2417d6d7986d"}');
INSERT INTO "change" VALUES(522,142,'card',4,'{"version":32}','{"version":33}');
INSERT INTO "change" VALUES(523,142,'gap_reading',33,NULL,'{"id":33,"purpose":"proof","unit":"mm","goes":"[180000]","refuses":"[200000]","feel":null,"low_nm":180000,"high_nm":200000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 IN R","typed":"18-20","recorded_at":"2026-11-22 10:16:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(524,143,'card_event',121,NULL,'{"id":121,"card_id":4,"version":34,"key":"demo-101900","action":"proof 1 EX R 23-25","recorded_at":"2026-11-22 10:19:00.000000","digest":"d7b6c65eb69ec21b37997ee87518958048595c3873fb14c8035927adbc11942a"}');
INSERT INTO "change" VALUES(525,143,'card',4,'{"version":33}','{"version":34}');
INSERT INTO "change" VALUES(526,143,'gap_reading',34,NULL,'{"id":34,"purpose":"proof","unit":"mm","goes":"[230000]","refuses":"[250000]","feel":null,"low_nm":230000,"high_nm":250000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 EX R","typed":"23-25","recorded_at":"2026-11-22 10:19:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(527,144,'card_event',122,NULL,'{"id":122,"card_id":4,"version":35,"key":"demo-102200","action":"proof 2 IN R 8","recorded_at":"2026-11-22 10:22:00.000000","digest":"5eb6f7f06a5ec112b34d9022a1c342cc4ab21b034780a891cb9e5240d789b845"}');
INSERT INTO "change" VALUES(528,144,'card',4,'{"version":34}','{"version":35}');
INSERT INTO "change" VALUES(529,144,'gap_reading',35,NULL,'{"id":35,"purpose":"proof","unit":"mm","goes":"[80000]","refuses":null,"feel":"drag","low_nm":80000,"high_nm":80000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"2 IN R","typed":"8","recorded_at":"2026-11-22 10:22:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(530,145,'card_event',123,NULL,'{"id":123,"card_id":4,"version":36,"key":"demo-102500","action":"proof 2 EX L 23-25","recorded_at":"2026-11-22 10:25:00.000000","digest":"1aed490430fd55d31bfae7bb890017c0325f2ed36412306f6bd8446e1a459a5b"}');
INSERT INTO "change" VALUES(531,145,'card',4,'{"version":35}','{"version":36}');
INSERT INTO "change" VALUES(532,145,'gap_reading',36,NULL,'{"id":36,"purpose":"proof","unit":"mm","goes":"[230000]","refuses":"[250000]","feel":null,"low_nm":230000,"high_nm":250000,"open_above":1,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"2 EX L","typed":"23-25","recorded_at":"2026-11-22 10:25:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(533,146,'card_event',124,NULL,'{"id":124,"card_id":4,"version":37,"key":"demo-102800","action":"proof 1 IN L 12","recorded_at":"2026-11-22 10:28:00.000000","digest":"70d52039c4cdf276bc94319a3eef293ce73af4105c98df02ca6f2e84bd614dc5"}');
INSERT INTO "change" VALUES(534,146,'card',4,'{"version":36}','{"version":37}');
INSERT INTO "change" VALUES(535,146,'gap_reading',37,NULL,'{"id":37,"purpose":"proof","unit":"mm","goes":"[120000]","refuses":null,"feel":"drag","low_nm":120000,"high_nm":120000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 IN L","typed":"12","recorded_at":"2026-11-22 10:28:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(536,147,'card_event',125,NULL,'{"id":125,"card_id":4,"version":38,"key":"demo-103100","action":"proof 1 EX L 25","recorded_at":"2026-11-22 10:31:00.000000","digest":"73a3ff20097b6c874ae711d712fac1db72414fbf4cef3657f0dec593d2b8a4da"}');
INSERT INTO "change" VALUES(537,147,'card',4,'{"version":37}','{"version":38}');
INSERT INTO "change" VALUES(538,147,'gap_reading',38,NULL,'{"id":38,"purpose":"proof","unit":"mm","goes":"[250000]","refuses":null,"feel":"drag","low_nm":250000,"high_nm":250000,"open_above":0,"called_nm":null,"thinnest":1,"repeats":0,"kept":"[]","warm":0,"guess":0,"reason":"","supersedes_id":null,"round_id":4,"valve":"1 EX L","typed":"25","recorded_at":"2026-11-22 10:31:00.000000","superseded_at":null}');
INSERT INTO "change" VALUES(539,148,'noted_check',1,NULL,'{"id":1,"engine_id":2,"on":"2023-04-22","at":"1210","new_life":0,"valves":"{\"IN L\": {\"found\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN C\": {\"found\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN R\": {\"found\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX L\": {\"found\": {\"low_nm\": 190000, \"high_nm\": 190000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX R\": {\"found\": {\"low_nm\": 230000, \"high_nm\": 230000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Ivo Tarrask","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(540,148,'noted_check',2,NULL,'{"id":2,"engine_id":2,"on":"2023-10-14","at":"2300","new_life":0,"valves":"{\"IN L\": {\"found\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN C\": {\"found\": {\"low_nm\": 90000, \"high_nm\": 90000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 2000000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 1950000, \"half_width_nm\": 4000}, \"changed\": true}, \"IN R\": {\"found\": {\"low_nm\": 130000, \"high_nm\": 130000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX L\": {\"found\": {\"low_nm\": 180000, \"high_nm\": 180000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX R\": {\"found\": {\"low_nm\": 220000, \"high_nm\": 220000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Ivo Tarrask","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(541,148,'noted_check',3,NULL,'{"id":3,"engine_id":2,"on":"2024-04-20","at":"3420","new_life":0,"valves":"{\"IN L\": {\"found\": {\"low_nm\": 130000, \"high_nm\": 130000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN C\": {\"found\": {\"low_nm\": 100000, \"high_nm\": 100000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN R\": {\"found\": {\"low_nm\": 120000, \"high_nm\": 120000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX L\": {\"found\": {\"low_nm\": 170000, \"high_nm\": 170000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX R\": {\"found\": {\"low_nm\": 210000, \"high_nm\": 210000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Ivo Tarrask","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(542,148,'noted_check',4,NULL,'{"id":4,"engine_id":2,"on":"2024-10-12","at":"4650","new_life":0,"valves":"{\"IN L\": {\"found\": {\"low_nm\": 120000, \"high_nm\": 120000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN C\": {\"found\": {\"low_nm\": 40000, \"high_nm\": 40000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 1950000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 1850000, \"half_width_nm\": 4000}, \"changed\": true}, \"IN R\": {\"found\": {\"low_nm\": 120000, \"high_nm\": 120000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX L\": {\"found\": {\"low_nm\": 170000, \"high_nm\": 170000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX R\": {\"found\": {\"low_nm\": 210000, \"high_nm\": 210000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Ivo Tarrask","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(543,148,'noted_check',5,NULL,'{"id":5,"engine_id":2,"on":"2025-04-19","at":"5380","new_life":0,"valves":"{\"IN L\": {\"found\": {\"low_nm\": 130000, \"high_nm\": 130000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN C\": {\"found\": {\"low_nm\": 110000, \"high_nm\": 110000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"IN R\": {\"found\": {\"low_nm\": 120000, \"high_nm\": 120000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX L\": {\"found\": {\"low_nm\": 150000, \"high_nm\": 150000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"EX R\": {\"found\": {\"low_nm\": 200000, \"high_nm\": 200000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Ivo Tarrask","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(544,149,'noted_check',6,NULL,'{"id":6,"engine_id":1,"on":"2022-05-14","at":"3100","new_life":0,"valves":"{\"1 IN L\": {\"found\": {\"low_nm\": 180000, \"high_nm\": 180000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 IN R\": {\"found\": {\"low_nm\": 170000, \"high_nm\": 170000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX L\": {\"found\": {\"low_nm\": 270000, \"high_nm\": 270000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX R\": {\"found\": {\"low_nm\": 260000, \"high_nm\": 260000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN L\": {\"found\": {\"low_nm\": 170000, \"high_nm\": 170000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN R\": {\"found\": {\"low_nm\": 120000, \"high_nm\": 120000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX L\": {\"found\": {\"low_nm\": 310000, \"high_nm\": 310000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX R\": {\"found\": {\"low_nm\": 250000, \"high_nm\": 250000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 IN L\": {\"found\": {\"low_nm\": 180000, \"high_nm\": 180000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 IN R\": {\"found\": {\"low_nm\": 180000, \"high_nm\": 180000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX L\": {\"found\": {\"low_nm\": 300000, \"high_nm\": 300000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX R\": {\"found\": {\"low_nm\": 330000, \"high_nm\": 330000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Sanna Veldrig","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(545,149,'noted_check',7,NULL,'{"id":7,"engine_id":1,"on":"2023-05-20","at":"7050","new_life":0,"valves":"{\"1 IN L\": {\"found\": {\"low_nm\": 180000, \"high_nm\": 180000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 IN R\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX L\": {\"found\": {\"low_nm\": 260000, \"high_nm\": 260000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX R\": {\"found\": {\"low_nm\": 240000, \"high_nm\": 240000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN L\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN R\": {\"found\": {\"low_nm\": 100000, \"high_nm\": 100000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 2500000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 130000, \"high_nm\": 130000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 2475000, \"half_width_nm\": 4000}, \"changed\": true}, \"2 EX L\": {\"found\": {\"low_nm\": 290000, \"high_nm\": 290000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX R\": {\"found\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 2925000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 260000, \"high_nm\": 260000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 2800000, \"half_width_nm\": 4000}, \"changed\": true}, \"3 IN L\": {\"found\": {\"low_nm\": 190000, \"high_nm\": 190000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 IN R\": {\"found\": {\"low_nm\": 170000, \"high_nm\": 170000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX L\": {\"found\": {\"low_nm\": 290000, \"high_nm\": 290000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX R\": {\"found\": {\"low_nm\": 320000, \"high_nm\": 320000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Sanna Veldrig","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(546,149,'noted_check',8,NULL,'{"id":8,"engine_id":1,"on":"2024-05-11","at":"11020","new_life":0,"valves":"{\"1 IN L\": {\"found\": {\"low_nm\": 170000, \"high_nm\": 170000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 IN R\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX L\": {\"found\": {\"low_nm\": 250000, \"high_nm\": 250000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX R\": {\"found\": {\"low_nm\": 220000, \"high_nm\": 220000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 2575000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 250000, \"high_nm\": 250000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 2550000, \"half_width_nm\": 4000}, \"changed\": true}, \"2 IN L\": {\"found\": {\"low_nm\": 150000, \"high_nm\": 150000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN R\": {\"found\": {\"low_nm\": 120000, \"high_nm\": 120000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX L\": {\"found\": {\"low_nm\": 280000, \"high_nm\": 280000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX R\": {\"found\": {\"low_nm\": 150000, \"high_nm\": 150000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 2800000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 270000, \"high_nm\": 270000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 2675000, \"half_width_nm\": 4000}, \"changed\": true}, \"3 IN L\": {\"found\": {\"low_nm\": 190000, \"high_nm\": 190000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 IN R\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX L\": {\"found\": {\"low_nm\": 270000, \"high_nm\": 270000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX R\": {\"found\": {\"low_nm\": 310000, \"high_nm\": 310000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Sanna Veldrig","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
INSERT INTO "change" VALUES(547,149,'noted_check',9,NULL,'{"id":9,"engine_id":1,"on":"2025-05-17","at":"14900","new_life":0,"valves":"{\"1 IN L\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 IN R\": {\"found\": {\"low_nm\": 150000, \"high_nm\": 150000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX L\": {\"found\": {\"low_nm\": 240000, \"high_nm\": 240000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"1 EX R\": {\"found\": {\"low_nm\": 230000, \"high_nm\": 230000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN L\": {\"found\": {\"low_nm\": 140000, \"high_nm\": 140000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 IN R\": {\"found\": {\"low_nm\": 110000, \"high_nm\": 110000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX L\": {\"found\": {\"low_nm\": 260000, \"high_nm\": 260000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"2 EX R\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": {\"thickness_nm\": 2675000, \"half_width_nm\": 4000}, \"left\": {\"low_nm\": 230000, \"high_nm\": 230000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"new\": {\"thickness_nm\": 2600000, \"half_width_nm\": 4000}, \"changed\": true}, \"3 IN L\": {\"found\": {\"low_nm\": 200000, \"high_nm\": 200000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 IN R\": {\"found\": {\"low_nm\": 160000, \"high_nm\": 160000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX L\": {\"found\": {\"low_nm\": 260000, \"high_nm\": 260000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}, \"3 EX R\": {\"found\": {\"low_nm\": 290000, \"high_nm\": 290000, \"open_above\": false, \"called_nm\": null, \"joints\": 0, \"thinnest\": true, \"endless\": false, \"guess\": false}, \"piece\": null, \"left\": null, \"new\": null, \"changed\": false}}","source":"notebook","noted_by":"Sanna Veldrig","noted_at":"2025-09-23 09:30:00.000000","taken_back_at":null}');
CREATE TABLE "choice" (
	thickness_nm INTEGER, 
	supersedes_id INTEGER, 
	id INTEGER NOT NULL, 
	round_id INTEGER NOT NULL, 
	valve VARCHAR NOT NULL, 
	typed VARCHAR NOT NULL, 
	recorded_at DATETIME NOT NULL, 
	superseded_at DATETIME, 
	source VARCHAR DEFAULT 'counter' NOT NULL, 
	from_valve VARCHAR, 
	by_hand BOOLEAN DEFAULT 1 NOT NULL, 
	shim_id INTEGER, 
	by_marking BOOLEAN DEFAULT 0 NOT NULL, 
	measured_nm INTEGER, 
	fitted_at DATETIME, made_from JSON, doubt_nm INTEGER, 
	CONSTRAINT pk_choice PRIMARY KEY (id), 
	CONSTRAINT fk_choice_supersedes_id_choice FOREIGN KEY(supersedes_id) REFERENCES choice (id), 
	CONSTRAINT fk_choice_round_id_round FOREIGN KEY(round_id) REFERENCES round (id), 
	FOREIGN KEY(shim_id) REFERENCES shim (id)
);
INSERT INTO "choice" VALUES(1800000,NULL,1,1,'IN C','1.80','2025-10-18 10:27:00.000000','2025-10-18 10:33:00.000000','counter',NULL,1,NULL,1,NULL,NULL,'[80000, 80000, null, 1848000, 100000, 150000, 100000, 150000]',NULL);
INSERT INTO "choice" VALUES(1650000,NULL,2,1,'EX L','1.65','2025-10-18 10:30:00.000000','2025-10-18 10:36:00.000000','counter',NULL,1,NULL,1,NULL,NULL,'[150000, 150000, null, 1700000, 170000, 220000, 170000, 220000]',NULL);
INSERT INTO "choice" VALUES(1800000,1,3,1,'IN C','1.80','2025-10-18 10:33:00.000000',NULL,'counter',NULL,1,NULL,1,NULL,'2025-10-18 10:33:00.000000','[80000, 80000, null, 1848000, 100000, 150000, 100000, 150000]',NULL);
INSERT INTO "choice" VALUES(1650000,2,4,1,'EX L','1.65','2025-10-18 10:36:00.000000',NULL,'counter',NULL,1,NULL,1,NULL,'2025-10-18 10:36:00.000000','[150000, 150000, null, 1700000, 170000, 220000, 170000, 220000]',NULL);
INSERT INTO "choice" VALUES(2520000,NULL,5,4,'1 IN R','2.52','2026-11-22 09:52:00.000000','2026-11-22 10:01:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[70000, 70000, null, 2602000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2560000,NULL,6,4,'1 EX R','2.56','2026-11-22 09:52:00.000000','2026-11-22 10:04:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[150000, 180000, null, 2641000, 220000, 290000, 220000, 290000]',NULL);
INSERT INTO "choice" VALUES(2480000,NULL,7,4,'2 IN R','2.48','2026-11-22 09:52:00.000000','2026-11-22 10:07:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[80000, 80000, null, 2520000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2520000,NULL,8,4,'2 EX L','2.52','2026-11-22 09:52:00.000000','2026-11-22 10:10:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[200000, 200000, null, 2561000, 220000, 290000, 220000, 290000]',NULL);
INSERT INTO "choice" VALUES(2520000,5,9,4,'1 IN R','2.52','2026-11-22 10:01:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:01:00.000000','[70000, 70000, null, 2602000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2560000,6,10,4,'1 EX R','2.56','2026-11-22 10:04:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:04:00.000000','[150000, 180000, null, 2641000, 220000, 290000, 220000, 290000]',NULL);
INSERT INTO "choice" VALUES(2480000,7,11,4,'2 IN R','2.48','2026-11-22 10:07:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:07:00.000000','[80000, 80000, null, 2520000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2520000,8,12,4,'2 EX L','2.52','2026-11-22 10:10:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:10:00.000000','[200000, 200000, null, 2561000, 220000, 290000, 220000, 290000]',NULL);
CREATE TABLE engine (
	id INTEGER NOT NULL, 
	label VARCHAR NOT NULL, 
	note VARCHAR NOT NULL, outlook JSON, due_on DATE, 
	CONSTRAINT pk_engine PRIMARY KEY (id), 
	CONSTRAINT uq_engine_label UNIQUE (label)
);
INSERT INTO "engine" VALUES(1,'No. 3 · Ollerby Trefoil','Trainer for the upper course; noisy since the autumn','{"at": 14900, "measure": "km", "by": "wear", "on": "2025-05-17", "first": "2 IN R", "odd": ["2 EX R", "3 IN L"], "wants": [{"diameter_nm": 8900000, "size_nm": 2500000, "chance": 0.9797}, {"diameter_nm": 8900000, "size_nm": 2400000, "chance": 0.2251}, {"diameter_nm": 8900000, "size_nm": 2425000, "chance": 0.7747}, {"diameter_nm": 8900000, "size_nm": 2450000, "chance": 0.5709}, {"diameter_nm": 8900000, "size_nm": 2475000, "chance": 0.4291}]}','2025-05-17');
INSERT INTO "engine" VALUES(2,'No. 8 · Tindle Pentad','Gravel single, five valves; checked each season','{"at": 6622, "measure": "km", "by": "wear", "on": "2026-01-19", "first": "IN C", "odd": ["IN C"], "wants": [{"diameter_nm": 7480000, "size_nm": 1700000, "chance": 0.874}, {"diameter_nm": 7480000, "size_nm": 1750000, "chance": 0.126}, {"diameter_nm": 7480000, "size_nm": 1600000, "chance": 0.0238}, {"diameter_nm": 7480000, "size_nm": 1650000, "chance": 0.225}]}','2026-01-19');
INSERT INTO "engine" VALUES(3,'No. 5 · Varrow Quartet','The instructors'' V-four',NULL,NULL);
INSERT INTO "engine" VALUES(4,'No. 11 · Corrie Offbeat','Parallel twin, 270 degrees, for the road class',NULL,NULL);
INSERT INTO "engine" VALUES(5,'No. 2 · Halvern Six outfit','Straight six with the observers'' sidecar',NULL,NULL);
INSERT INTO "engine" VALUES(6,'No. 9 · Sandrelle Elle','L-twin that closes its own valves',NULL,NULL);
CREATE TABLE engine_revision (
	id INTEGER NOT NULL, 
	engine_id INTEGER NOT NULL, 
	number INTEGER NOT NULL, 
	document VARCHAR NOT NULL, 
	recorded_at DATETIME NOT NULL, 
	CONSTRAINT pk_engine_revision PRIMARY KEY (id), 
	CONSTRAINT fk_engine_revision_engine_id_engine FOREIGN KEY(engine_id) REFERENCES engine (id), 
	CONSTRAINT uq_engine_revision_engine_id UNIQUE (engine_id, number)
);
INSERT INTO "engine_revision" VALUES(1,1,1,'{"format": "plimb-engine", "version": 1, "unit": "mm",
 "engine": {
   "name": "Ollerby Trefoil 795",
   "source": "Ostrel workshop book, page 41",
   "follower": "bucket-under",
   "crank": {"rotation": "clockwise", "cylinders": [
     {"number": 1, "fires_at": 0}, {"number": 2, "fires_at": 240}, {"number": 3, "fires_at": 480}]},
   "camshafts": [{"id": "IN", "side": "intake"}, {"id": "EX", "side": "exhaust"}],
   "valves": [
     {"id": "1 IN L", "cylinder": 1, "side": "intake", "position": "left", "camshaft": "IN"},
     {"id": "1 IN R", "cylinder": 1, "side": "intake", "position": "right", "camshaft": "IN"},
     {"id": "1 EX L", "cylinder": 1, "side": "exhaust", "position": "left", "camshaft": "EX"},
     {"id": "1 EX R", "cylinder": 1, "side": "exhaust", "position": "right", "camshaft": "EX"},
     {"id": "2 IN L", "cylinder": 2, "side": "intake", "position": "left", "camshaft": "IN"},
     {"id": "2 IN R", "cylinder": 2, "side": "intake", "position": "right", "camshaft": "IN"},
     {"id": "2 EX L", "cylinder": 2, "side": "exhaust", "position": "left", "camshaft": "EX"},
     {"id": "2 EX R", "cylinder": 2, "side": "exhaust", "position": "right", "camshaft": "EX"},
     {"id": "3 IN L", "cylinder": 3, "side": "intake", "position": "left", "camshaft": "IN"},
     {"id": "3 IN R", "cylinder": 3, "side": "intake", "position": "right", "camshaft": "IN"},
     {"id": "3 EX L", "cylinder": 3, "side": "exhaust", "position": "left", "camshaft": "EX"},
     {"id": "3 EX R", "cylinder": 3, "side": "exhaust", "position": "right", "camshaft": "EX"}],
   "spec": {"intake": {"min": 0.11, "max": 0.20}, "exhaust": {"min": 0.22, "max": 0.30}},
   "family": {"diameter": 8.9, "runs": [{"from": 1.2, "to": 3.0, "step": 0.025}], "price": 8.2},
   "layout": {"crank": "across", "banks": [{"id": "head", "cylinders": [1, 2, 3], "intake": "rear"}]}}}
','2025-09-18 09:30:00.000000');
INSERT INTO "engine_revision" VALUES(2,2,1,'{"format": "plimb-engine", "version": 1, "unit": "mm",
 "engine": {
   "name": "Tindle Pentad 449",
   "source": "Ostrel workshop book, page 12",
   "follower": "bucket-under",
   "crank": {"rotation": "anticlockwise", "cylinders": [{"number": 1, "fires_at": 0}]},
   "camshafts": [{"id": "IN", "side": "intake"}, {"id": "EX", "side": "exhaust"}],
   "valves": [
     {"id": "IN L", "cylinder": 1, "side": "intake", "position": "left", "camshaft": "IN"},
     {"id": "IN C", "cylinder": 1, "side": "intake", "position": "centre", "camshaft": "IN"},
     {"id": "IN R", "cylinder": 1, "side": "intake", "position": "right", "camshaft": "IN"},
     {"id": "EX L", "cylinder": 1, "side": "exhaust", "position": "left", "camshaft": "EX"},
     {"id": "EX R", "cylinder": 1, "side": "exhaust", "position": "right", "camshaft": "EX"}],
   "spec": {"intake": {"min": 0.10, "max": 0.15}, "exhaust": {"min": 0.17, "max": 0.22}},
   "family": {"diameter": 7.48, "runs": [{"from": 1.2, "to": 2.4, "step": 0.05}], "price": 7.4},
   "layout": {"crank": "across", "banks": [{"id": "head", "cylinders": [1], "intake": "rear"}]}}}
','2025-09-18 09:30:00.000000');
INSERT INTO "engine_revision" VALUES(3,3,1,'{"format": "plimb-engine", "version": 1, "unit": "mm",
 "engine": {
   "name": "Varrow Quartet 998",
   "source": "Ostrel workshop book, page 63",
   "follower": "bucket-under",
   "crank": {"rotation": "clockwise", "cylinders": [
     {"number": 1, "fires_at": 0}, {"number": 3, "fires_at": 180},
     {"number": 2, "fires_at": 450}, {"number": 4, "fires_at": 630}]},
   "camshafts": [
     {"id": "front IN", "side": "intake"}, {"id": "front EX", "side": "exhaust"},
     {"id": "rear IN", "side": "intake"}, {"id": "rear EX", "side": "exhaust"}],
   "valves": [
     {"id": "1 IN L", "cylinder": 1, "side": "intake", "position": "left", "camshaft": "rear IN"},
     {"id": "1 IN R", "cylinder": 1, "side": "intake", "position": "right", "camshaft": "rear IN"},
     {"id": "1 EX L", "cylinder": 1, "side": "exhaust", "position": "left", "camshaft": "rear EX"},
     {"id": "1 EX R", "cylinder": 1, "side": "exhaust", "position": "right", "camshaft": "rear EX"},
     {"id": "2 IN L", "cylinder": 2, "side": "intake", "position": "left", "camshaft": "front IN"},
     {"id": "2 IN R", "cylinder": 2, "side": "intake", "position": "right", "camshaft": "front IN"},
     {"id": "2 EX L", "cylinder": 2, "side": "exhaust", "position": "left", "camshaft": "front EX"},
     {"id": "2 EX R", "cylinder": 2, "side": "exhaust", "position": "right", "camshaft": "front EX"},
     {"id": "3 IN L", "cylinder": 3, "side": "intake", "position": "left", "camshaft": "rear IN"},
     {"id": "3 IN R", "cylinder": 3, "side": "intake", "position": "right", "camshaft": "rear IN"},
     {"id": "3 EX L", "cylinder": 3, "side": "exhaust", "position": "left", "camshaft": "rear EX"},
     {"id": "3 EX R", "cylinder": 3, "side": "exhaust", "position": "right", "camshaft": "rear EX"},
     {"id": "4 IN L", "cylinder": 4, "side": "intake", "position": "left", "camshaft": "front IN"},
     {"id": "4 IN R", "cylinder": 4, "side": "intake", "position": "right", "camshaft": "front IN"},
     {"id": "4 EX L", "cylinder": 4, "side": "exhaust", "position": "left", "camshaft": "front EX"},
     {"id": "4 EX R", "cylinder": 4, "side": "exhaust", "position": "right", "camshaft": "front EX"}],
   "spec": {
     "intake": {"min": 0.14, "max": 0.20},
     "exhaust": {"min": 0.24, "max": 0.34, "set_min": 0.27, "set_max": 0.33, "aim": 0.30}},
   "family": {"diameter": 9.2, "runs": [{"from": 1.2, "to": 3.5, "step": 0.05}], "price": 8.6},
   "layout": {"crank": "across", "banks": [
     {"id": "front", "cylinders": [2, 4], "intake": "rear"},
     {"id": "rear", "cylinders": [1, 3], "intake": "front"}]}}}
','2025-09-18 09:30:00.000000');
INSERT INTO "engine_revision" VALUES(4,4,1,'{
 "format": "plimb-engine",
 "version": 1,
 "unit": "mm",
 "engine": {
  "name": "Corrie Offbeat 690",
  "source": "Ostrel workshop book",
  "page": "77",
  "follower": "bucket-under",
  "camshaft_out": true,
  "crank": {
   "rotation": "clockwise",
   "cylinders": [
    {
     "number": 1,
     "fires_at": 0
    },
    {
     "number": 2,
     "fires_at": 270
    }
   ],
   "marks": [
    {
     "name": "I",
     "degrees": 0,
     "cue": "left pair of lobes up and outwards",
     "count": "19 pins from the arrow on the exhaust wheel to the one on the intake wheel",
     "valves": [
      "1 IN L",
      "1 IN R",
      "1 EX L",
      "1 EX R"
     ]
    },
    {
     "name": "II",
     "degrees": 270,
     "cue": "right pair of lobes up and outwards",
     "valves": [
      "2 IN L",
      "2 IN R",
      "2 EX L",
      "2 EX R"
     ]
    }
   ]
  },
  "camshafts": [
   {
    "id": "IN",
    "side": "intake"
   },
   {
    "id": "EX",
    "side": "exhaust"
   }
  ],
  "valves": [
   {
    "id": "1 IN L",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "1 IN R",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "1 EX L",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "1 EX R",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "2 IN L",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "2 IN R",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "2 EX L",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "2 EX R",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   }
  ],
  "spec": {
   "intake": {
    "min": 0.1,
    "max": 0.17
   },
   "exhaust": {
    "min": 0.22,
    "max": 0.29
   }
  },
  "family": {
   "diameter": 8.9,
   "runs": [
    {
     "from": 1.6,
     "to": 3.2,
     "step": 0.04
    }
   ],
   "price": 7.9
  },
  "layout": {
   "crank": "across",
   "banks": [
    {
     "id": "head",
     "cylinders": [
      1,
      2
     ],
     "intake": "rear"
    }
   ]
  },
  "events": {
   "intake": {
    "opens_btdc": 20,
    "closes_abdc": 60
   },
   "exhaust": {
    "opens_bbdc": 60,
    "closes_atdc": 20
   },
   "ramp": 20
  },
  "owner": "The school, road class",
  "plate": "OHC 11",
  "counter": "km",
  "interval": 12000,
  "caps": "IN 1 to IN 4 and EX 1 to EX 4, arrows to the chain",
  "tensioner": "Spring kind: centre screw out first, while it is bolted on; back in last",
  "tools": [
   "Long 8 mm socket for the cover",
   "Crank socket 17 mm"
  ],
  "parts": [
   {
    "what": "Cover gasket",
    "number": "OH-1120",
    "count": 1,
    "price": 14.5
   },
   {
    "what": "Plug-hole seals",
    "number": "OH-1133",
    "count": 2,
    "price": 3.2
   },
   {
    "what": "Sealant, at both half moons",
    "number": "OH-9",
    "count": 1,
    "price": null
   }
  ],
  "notes": {
   "fit": "The left intake cap binds: tap it home by hand before the bolts."
  }
 }
}
','2025-09-18 09:30:00.000000');
INSERT INTO "engine_revision" VALUES(5,5,1,'{
 "format": "plimb-engine",
 "version": 1,
 "unit": "mm",
 "engine": {
  "name": "Halvern Six 1640",
  "source": "Ostrel workshop book",
  "page": "90",
  "follower": "bucket-over",
  "camshaft_out": false,
  "crank": {
   "rotation": "clockwise",
   "cylinders": [
    {
     "number": 1,
     "fires_at": 0
    },
    {
     "number": 2,
     "fires_at": 480
    },
    {
     "number": 3,
     "fires_at": 240
    },
    {
     "number": 4,
     "fires_at": 600
    },
    {
     "number": 5,
     "fires_at": 120
    },
    {
     "number": 6,
     "fires_at": 360
    }
   ],
   "marks": []
  },
  "camshafts": [
   {
    "id": "IN",
    "side": "intake"
   },
   {
    "id": "EX",
    "side": "exhaust"
   }
  ],
  "valves": [
   {
    "id": "1 IN L",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "1 IN R",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "1 EX L",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "1 EX R",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "2 IN L",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "2 IN R",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "2 EX L",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "2 EX R",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "3 IN L",
    "cylinder": 3,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "3 IN R",
    "cylinder": 3,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "3 EX L",
    "cylinder": 3,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "3 EX R",
    "cylinder": 3,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "4 IN L",
    "cylinder": 4,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "4 IN R",
    "cylinder": 4,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "4 EX L",
    "cylinder": 4,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "4 EX R",
    "cylinder": 4,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "5 IN L",
    "cylinder": 5,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "5 IN R",
    "cylinder": 5,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "5 EX L",
    "cylinder": 5,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "5 EX R",
    "cylinder": 5,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "6 IN L",
    "cylinder": 6,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "6 IN R",
    "cylinder": 6,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "6 EX L",
    "cylinder": 6,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "6 EX R",
    "cylinder": 6,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   }
  ],
  "spec": {
   "intake": {
    "min": 0.15,
    "max": 0.24
   },
   "exhaust": {
    "min": 0.23,
    "max": 0.32
   }
  },
  "family": {
   "diameter": 29.5,
   "runs": [
    {
     "from": 2.0,
     "to": 3.3,
     "step": 0.05
    }
   ],
   "price": 9.1
  },
  "layout": {
   "crank": "across",
   "banks": [
    {
     "id": "head",
     "cylinders": [
      1,
      2,
      3,
      4,
      5,
      6
     ],
     "intake": "rear"
    }
   ]
  },
  "events": {
   "intake": {
    "opens_btdc": 20,
    "closes_abdc": 60
   },
   "exhaust": {
    "opens_bbdc": 60,
    "closes_atdc": 20
   },
   "ramp": 20
  }
 }
}
','2025-09-18 09:30:00.000000');
INSERT INTO "engine_revision" VALUES(6,6,1,'{
 "format": "plimb-engine",
 "version": 1,
 "unit": "mm",
 "engine": {
  "name": "Sandrelle Elle 880",
  "source": "Ostrel workshop book",
  "page": "104",
  "follower": "opener-closer",
  "camshaft_out": true,
  "crank": {
   "rotation": "clockwise",
   "cylinders": [
    {
     "number": 1,
     "fires_at": 0
    },
    {
     "number": 2,
     "fires_at": 270
    }
   ],
   "marks": []
  },
  "camshafts": [
   {
    "id": "horizontal CAM"
   },
   {
    "id": "vertical CAM"
   }
  ],
  "valves": [
   {
    "id": "1 IN L op",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "horizontal CAM",
    "position": "left",
    "action": "open"
   },
   {
    "id": "1 IN L cl",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "horizontal CAM",
    "position": "left",
    "action": "close"
   },
   {
    "id": "1 IN R op",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "horizontal CAM",
    "position": "right",
    "action": "open"
   },
   {
    "id": "1 IN R cl",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "horizontal CAM",
    "position": "right",
    "action": "close"
   },
   {
    "id": "1 EX L op",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "horizontal CAM",
    "position": "left",
    "action": "open"
   },
   {
    "id": "1 EX L cl",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "horizontal CAM",
    "position": "left",
    "action": "close"
   },
   {
    "id": "1 EX R op",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "horizontal CAM",
    "position": "right",
    "action": "open"
   },
   {
    "id": "1 EX R cl",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "horizontal CAM",
    "position": "right",
    "action": "close"
   },
   {
    "id": "2 IN L op",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "vertical CAM",
    "position": "left",
    "action": "open"
   },
   {
    "id": "2 IN L cl",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "vertical CAM",
    "position": "left",
    "action": "close"
   },
   {
    "id": "2 IN R op",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "vertical CAM",
    "position": "right",
    "action": "open"
   },
   {
    "id": "2 IN R cl",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "vertical CAM",
    "position": "right",
    "action": "close"
   },
   {
    "id": "2 EX L op",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "vertical CAM",
    "position": "left",
    "action": "open"
   },
   {
    "id": "2 EX L cl",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "vertical CAM",
    "position": "left",
    "action": "close"
   },
   {
    "id": "2 EX R op",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "vertical CAM",
    "position": "right",
    "action": "open"
   },
   {
    "id": "2 EX R cl",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "vertical CAM",
    "position": "right",
    "action": "close"
   }
  ],
  "spec": {
   "intake": {
    "min": 0.1,
    "max": 0.15
   },
   "exhaust": {
    "min": 0.12,
    "max": 0.17
   },
   "closer": {
    "intake": {
     "min": 0.0,
     "max": 0.05
    },
    "exhaust": {
     "min": 0.0,
     "max": 0.05
    }
   }
  },
  "family": {
   "diameter": 7.0,
   "runs": [
    {
     "from": 1.8,
     "to": 4.5,
     "step": 0.05
    }
   ],
   "price": 9.6
  },
  "layout": {
   "crank": "across",
   "banks": [
    {
     "id": "horizontal",
     "cylinders": [
      1
     ],
     "intake": "rear"
    },
    {
     "id": "vertical",
     "cylinders": [
      2
     ],
     "intake": "front"
    }
   ]
  },
  "events": {
   "intake": {
    "opens_btdc": 20,
    "closes_abdc": 60
   },
   "exhaust": {
    "opens_bbdc": 60,
    "closes_atdc": 20
   },
   "ramp": 20
  },
  "closer_family": {
   "diameter": 12.0,
   "runs": [
    {
     "from": 5.0,
     "to": 9.6,
     "step": 0.05
    }
   ],
   "price": 12.4
  }
 }
}
','2025-09-18 09:30:00.000000');
INSERT INTO "engine_revision" VALUES(7,4,2,'{
 "format": "plimb-engine",
 "version": 1,
 "unit": "mm",
 "engine": {
  "name": "Corrie Offbeat 690",
  "source": "Ostrel workshop book",
  "page": "77",
  "follower": "bucket-under",
  "camshaft_out": true,
  "crank": {
   "rotation": "clockwise",
   "cylinders": [
    {
     "number": 1,
     "fires_at": 0
    },
    {
     "number": 2,
     "fires_at": 270
    }
   ],
   "marks": [
    {
     "name": "I",
     "degrees": 0,
     "cue": "left pair of lobes up and outwards",
     "count": "19 pins from the arrow on the exhaust wheel to the one on the intake wheel",
     "valves": [
      "1 IN L",
      "1 IN R",
      "1 EX L",
      "1 EX R"
     ]
    },
    {
     "name": "II",
     "degrees": 270,
     "cue": "right pair of lobes up and outwards",
     "valves": [
      "2 IN L",
      "2 IN R",
      "2 EX L",
      "2 EX R"
     ]
    }
   ]
  },
  "camshafts": [
   {
    "id": "IN",
    "side": "intake"
   },
   {
    "id": "EX",
    "side": "exhaust"
   }
  ],
  "valves": [
   {
    "id": "1 IN L",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "1 IN R",
    "cylinder": 1,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "1 EX L",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "1 EX R",
    "cylinder": 1,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   },
   {
    "id": "2 IN L",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "IN",
    "position": "left"
   },
   {
    "id": "2 IN R",
    "cylinder": 2,
    "side": "intake",
    "camshaft": "IN",
    "position": "right"
   },
   {
    "id": "2 EX L",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "left"
   },
   {
    "id": "2 EX R",
    "cylinder": 2,
    "side": "exhaust",
    "camshaft": "EX",
    "position": "right"
   }
  ],
  "spec": {
   "intake": {
    "min": 0.1,
    "max": 0.17
   },
   "exhaust": {
    "min": 0.22,
    "max": 0.29
   }
  },
  "family": {
   "diameter": 8.9,
   "runs": [
    {
     "from": 1.6,
     "to": 3.2,
     "step": 0.04
    }
   ],
   "price": 7.9
  },
  "layout": {
   "crank": "across",
   "banks": [
    {
     "id": "head",
     "cylinders": [
      1,
      2
     ],
     "intake": "rear"
    }
   ]
  },
  "events": {
   "intake": {
    "opens_btdc": 20,
    "closes_abdc": 60
   },
   "exhaust": {
    "opens_bbdc": 60,
    "closes_atdc": 20
   },
   "ramp": 20
  },
  "owner": "The school, road class",
  "plate": "OHC 11",
  "counter": "km",
  "interval": 12000,
  "caps": "IN 1 to IN 4 and EX 1 to EX 4, arrows to the chain",
  "tensioner": "Spring kind: centre screw out first, while it is bolted on; back in last",
  "tools": [
   "Long 8 mm socket for the cover",
   "Crank socket 17 mm"
  ],
  "parts": [
   {
    "what": "Cover gasket",
    "number": "OH-1120",
    "count": 1,
    "price": 14.5
   },
   {
    "what": "Plug-hole seals",
    "number": "OH-1133",
    "count": 2,
    "price": 3.2
   },
   {
    "what": "Sealant, at both half moons",
    "number": "OH-9",
    "count": 1,
    "price": null
   }
  ],
  "notes": {
   "fit": "The left intake cap binds: tap it home by hand before the bolts."
  },
  "bolts": [
   {
    "name": "Cam caps",
    "places": [
     [
      0.1,
      0.1
     ],
     [
      0.5,
      0.1
     ],
     [
      0.9,
      0.1
     ],
     [
      0.1,
      0.35
     ],
     [
      0.5,
      0.35
     ],
     [
      0.9,
      0.35
     ],
     [
      0.1,
      0.65
     ],
     [
      0.5,
      0.65
     ],
     [
      0.9,
      0.65
     ],
     [
      0.1,
      0.9
     ],
     [
      0.5,
      0.9
     ],
     [
      0.9,
      0.9
     ]
    ],
    "torque": "10",
    "unit": "N·m",
    "thread": "M6",
    "order": null,
    "turned": 0
   }
  ]
 }
}','2026-11-22 09:55:00.000000');
CREATE TABLE entry (
	id INTEGER NOT NULL, 
	at DATETIME NOT NULL, 
	who VARCHAR NOT NULL, 
	what VARCHAR NOT NULL, 
	"before" VARCHAR NOT NULL, 
	hash VARCHAR NOT NULL, 
	CONSTRAINT pk_entry PRIMARY KEY (id)
);
INSERT INTO "entry" VALUES(1,'2025-09-18 09:30:00.000000','','settings changed','0000000000000000000000000000000000000000000000000000000000000000','4dce929222be29ca1eae90c85d11ea4213434c0d1de5f41d872bd203d470ae99');
INSERT INTO "entry" VALUES(2,'2025-09-18 09:30:00.000000','','feeler set written','4dce929222be29ca1eae90c85d11ea4213434c0d1de5f41d872bd203d470ae99','652d18e35c0c1407b8bed173417f3be4ba7c8995763c051357010e92b9e58fd1');
INSERT INTO "entry" VALUES(3,'2025-09-18 09:30:00.000000','','engine entered','652d18e35c0c1407b8bed173417f3be4ba7c8995763c051357010e92b9e58fd1','4c4d5e985b9eb781539448fe4b16f978fe0421884faacb2dd4f3bd3d63e3d894');
INSERT INTO "entry" VALUES(4,'2025-09-18 09:30:00.000000','','engine entered','4c4d5e985b9eb781539448fe4b16f978fe0421884faacb2dd4f3bd3d63e3d894','6fb9082b410fe9447a47f70f74f37d291951ed762222c157fdf3be3d894705ac');
INSERT INTO "entry" VALUES(5,'2025-09-18 09:30:00.000000','','engine entered','6fb9082b410fe9447a47f70f74f37d291951ed762222c157fdf3be3d894705ac','959f4e4bf0ee4220c5e73dfd4a92d9204d5e03fa5857e032640d574536535092');
INSERT INTO "entry" VALUES(6,'2025-09-18 09:30:00.000000','','engine entered','959f4e4bf0ee4220c5e73dfd4a92d9204d5e03fa5857e032640d574536535092','6db83d6e0de16af491157e15440273de3aafcf6d4c9c14be2d7d8ee123f3b1a0');
INSERT INTO "entry" VALUES(7,'2025-09-18 09:30:00.000000','','engine entered','6db83d6e0de16af491157e15440273de3aafcf6d4c9c14be2d7d8ee123f3b1a0','4b6e52bea390193c78855e9a135132f19ccbea6ad2cbbb639a5f2537720e46f7');
INSERT INTO "entry" VALUES(8,'2025-09-18 09:30:00.000000','','engine entered','4b6e52bea390193c78855e9a135132f19ccbea6ad2cbbb639a5f2537720e46f7','f51fa09114a678f18b48d4e85631f39a3455980326a1bb105fc34a5737410d43');
INSERT INTO "entry" VALUES(9,'2025-09-18 09:30:00.000000','','instrument added','f51fa09114a678f18b48d4e85631f39a3455980326a1bb105fc34a5737410d43','092637edb15961738a33c508eb51508d985c983c79168075d347457f3e213c38');
INSERT INTO "entry" VALUES(10,'2025-09-18 09:30:00.000000','','instrument added','092637edb15961738a33c508eb51508d985c983c79168075d347457f3e213c38','ab8d4bdabe6ae01938169888e64736908325278170f0597d917d5ee352b335aa');
INSERT INTO "entry" VALUES(11,'2025-09-18 09:30:00.000000','','shim family changed','ab8d4bdabe6ae01938169888e64736908325278170f0597d917d5ee352b335aa','86e32daa83c3794c41c4265fae6addebf84ee0f8afb4e09f0f2f2edb604379f0');
INSERT INTO "entry" VALUES(12,'2025-09-18 09:30:00.000000','','shim family changed','86e32daa83c3794c41c4265fae6addebf84ee0f8afb4e09f0f2f2edb604379f0','2e5319cf012c9890bcde5b106fc255adb7264ecec346960a3fa950ed75cab139');
INSERT INTO "entry" VALUES(13,'2025-09-28 09:30:00.000000','','put into the drawer','2e5319cf012c9890bcde5b106fc255adb7264ecec346960a3fa950ed75cab139','b063b8dd4faae4e40c041f36f9003858b4c56171841cd71812c7cc8fe2fed207');
INSERT INTO "entry" VALUES(14,'2025-09-18 09:30:00.000000','','shim family changed','b063b8dd4faae4e40c041f36f9003858b4c56171841cd71812c7cc8fe2fed207','b9d84b1d6fbd4e6b62fc91b81efdde6dede532359b1432f3a6201dd6a407c0c9');
INSERT INTO "entry" VALUES(15,'2025-09-28 09:30:00.000000','','put into the drawer','b9d84b1d6fbd4e6b62fc91b81efdde6dede532359b1432f3a6201dd6a407c0c9','57d0797672bf08c7e665d446391c9d9f1ce3861a1934f7b60dcccbf3af580530');
INSERT INTO "entry" VALUES(16,'2025-09-18 09:30:00.000000','','shim family changed','57d0797672bf08c7e665d446391c9d9f1ce3861a1934f7b60dcccbf3af580530','386350ec51bf86de0e852b07bac8f8b74132e56b8ac227300a74a0da8aba451a');
INSERT INTO "entry" VALUES(17,'2025-09-18 09:30:00.000000','','shim family changed','386350ec51bf86de0e852b07bac8f8b74132e56b8ac227300a74a0da8aba451a','d6892b76421632511068ac5da6af78bf9818c6c1eed5952678d60611e8e4ed80');
INSERT INTO "entry" VALUES(18,'2025-09-18 09:30:00.000000','','shim family changed','d6892b76421632511068ac5da6af78bf9818c6c1eed5952678d60611e8e4ed80','376065465ad466166b40af47755a28f4e8d7d4b802849f913882513792928209');
INSERT INTO "entry" VALUES(19,'2025-10-18 09:30:00.000000','Ivo Tarrask','card opened','376065465ad466166b40af47755a28f4e8d7d4b802849f913882513792928209','c6a029a7d8fa5c7b695b2e20a01265d4ff0337a73730be9e180ee08cfab3c2d7');
INSERT INTO "entry" VALUES(20,'2025-10-18 09:33:00.000000','Ivo Tarrask','conditions','c6a029a7d8fa5c7b695b2e20a01265d4ff0337a73730be9e180ee08cfab3c2d7','188e7227e958056c99bdbcfb61dc4ccab6feca9ad15b02d99cfeb41a410648a0');
INSERT INTO "entry" VALUES(21,'2025-10-18 09:36:00.000000','Ivo Tarrask','safety power True','188e7227e958056c99bdbcfb61dc4ccab6feca9ad15b02d99cfeb41a410648a0','e6e64299f39e39f43b63b91fda18b5d1aed7621773a25ff52dfdc28529c64e70');
INSERT INTO "entry" VALUES(22,'2025-10-18 09:39:00.000000','Ivo Tarrask','safety stand True','e6e64299f39e39f43b63b91fda18b5d1aed7621773a25ff52dfdc28529c64e70','323936d5e1ca4b1b53f6a37f3b09bcfb1b26cfb47f80a5ffcccb4143f3b770a1');
INSERT INTO "entry" VALUES(23,'2025-10-18 09:42:00.000000','Ivo Tarrask','safety fuel True','323936d5e1ca4b1b53f6a37f3b09bcfb1b26cfb47f80a5ffcccb4143f3b770a1','cbd4b74664eb9384f20fb437d63893f7e379bcd527a7075a8a7b6d3a117c0f4a');
INSERT INTO "entry" VALUES(24,'2025-10-18 09:45:00.000000','Ivo Tarrask','safety hands True','cbd4b74664eb9384f20fb437d63893f7e379bcd527a7075a8a7b6d3a117c0f4a','b572ed669caff1d6beb0a8eab3bb093b776973297915ca5bf9185748bc2e710a');
INSERT INTO "entry" VALUES(25,'2025-10-18 09:48:00.000000','Ivo Tarrask','safety clean True','b572ed669caff1d6beb0a8eab3bb093b776973297915ca5bf9185748bc2e710a','21e97640ccdb42755a508cb998c7001528fedd83a127d01d2ac4f44badaea022');
INSERT INTO "entry" VALUES(26,'2025-10-18 09:51:00.000000','Ivo Tarrask','safety plug True','21e97640ccdb42755a508cb998c7001528fedd83a127d01d2ac4f44badaea022','d183b8228f9461357e9f73418b8717b0f8269bea30ac4acf6849afcd89a864dc');
INSERT INTO "entry" VALUES(27,'2025-10-18 09:54:00.000000','Ivo Tarrask','safety plugs-out True','d183b8228f9461357e9f73418b8717b0f8269bea30ac4acf6849afcd89a864dc','fc5ea8da348e49333d8869b7e348959f6d135c0490665b32a058233a8ce734d9');
INSERT INTO "entry" VALUES(28,'2025-10-18 09:57:00.000000','Ivo Tarrask','safety direction True','fc5ea8da348e49333d8869b7e348959f6d135c0490665b32a058233a8ce734d9','bf42dd0d640ed356b5d6de1f195e1b279e3fbb51d1b42e4e778ac009baecaa4a');
INSERT INTO "entry" VALUES(29,'2025-10-18 10:00:00.000000','Ivo Tarrask','safety decompressor True','bf42dd0d640ed356b5d6de1f195e1b279e3fbb51d1b42e4e778ac009baecaa4a','2ec3f43f1e515a6b7ecc92730a760e813c74536ef4dd7ed48ed1a316f5125f02');
INSERT INTO "entry" VALUES(30,'2025-10-18 10:03:00.000000','Ivo Tarrask','found IN L 12','2ec3f43f1e515a6b7ecc92730a760e813c74536ef4dd7ed48ed1a316f5125f02','1541b810a8437da110603c1469c9990614d18be565e2b6b8d0d47f0b04de6853');
INSERT INTO "entry" VALUES(31,'2025-10-18 10:06:00.000000','Ivo Tarrask','found IN C 8','1541b810a8437da110603c1469c9990614d18be565e2b6b8d0d47f0b04de6853','3be96d0f6987690f6ea34859a1c73dce74506de0120becd99b5f5bb48c0f80f9');
INSERT INTO "entry" VALUES(32,'2025-10-18 10:09:00.000000','Ivo Tarrask','found IN R 10-13','3be96d0f6987690f6ea34859a1c73dce74506de0120becd99b5f5bb48c0f80f9','b6e5478bda1482b737aca625407f1cefcda4f0786dea7d77b8a05f323ce8a841');
INSERT INTO "entry" VALUES(33,'2025-10-18 10:12:00.000000','Ivo Tarrask','found EX L 15-18','b6e5478bda1482b737aca625407f1cefcda4f0786dea7d77b8a05f323ce8a841','84efd7b4f32a3f9c1bccfbfddb24192e4008ceda5f1f9f06b4e38935f7e5aa8e');
INSERT INTO "entry" VALUES(34,'2025-10-18 10:15:00.000000','Ivo Tarrask','found EX R 20','84efd7b4f32a3f9c1bccfbfddb24192e4008ceda5f1f9f06b4e38935f7e5aa8e','0780f8e3c1668f4af2a461260581a26e737507d5adaa3bf4c3cfaf2b1b36272a');
INSERT INTO "entry" VALUES(35,'2025-10-18 10:18:00.000000','Ivo Tarrask','found EX L 15','0780f8e3c1668f4af2a461260581a26e737507d5adaa3bf4c3cfaf2b1b36272a','812665acfb1e58eeb1456616acc4773e7866b0326696696b4aa35d801e6c8d2a');
INSERT INTO "entry" VALUES(36,'2025-10-18 10:21:00.000000','Ivo Tarrask','piece IN C 185 1.848','812665acfb1e58eeb1456616acc4773e7866b0326696696b4aa35d801e6c8d2a','670bad97b8a5a17f74a2478fa3ee0ed6e34191fbe107b650e1a5a2bd4d612ef7');
INSERT INTO "entry" VALUES(37,'2025-10-18 10:24:00.000000','Ivo Tarrask','piece EX L 170','670bad97b8a5a17f74a2478fa3ee0ed6e34191fbe107b650e1a5a2bd4d612ef7','0ed30cc81ba7e5f1ee858a7664612f5d64cfe72620dea96bf93adfdad7c44872');
INSERT INTO "entry" VALUES(38,'2025-10-18 10:27:00.000000','Ivo Tarrask','choose IN C 1800000','0ed30cc81ba7e5f1ee858a7664612f5d64cfe72620dea96bf93adfdad7c44872','3b1cda789771bd8267eaf7173b540fa9b5aa31d9319683b2cb3d0072b37341df');
INSERT INTO "entry" VALUES(39,'2025-10-18 10:30:00.000000','Ivo Tarrask','choose EX L 1650000','3b1cda789771bd8267eaf7173b540fa9b5aa31d9319683b2cb3d0072b37341df','da5fafdf9b21f1eff0a4f374934aafab344f681a660d6534add1ec19ae454c8d');
INSERT INTO "entry" VALUES(40,'2025-10-18 10:33:00.000000','Ivo Tarrask','fit IN C True','da5fafdf9b21f1eff0a4f374934aafab344f681a660d6534add1ec19ae454c8d','0bbe837a3c0044f77e4d184d342fb479027a9e3de9bb0b3be97e919925ff4ff3');
INSERT INTO "entry" VALUES(41,'2025-10-18 10:36:00.000000','Ivo Tarrask','fit EX L True','0bbe837a3c0044f77e4d184d342fb479027a9e3de9bb0b3be97e919925ff4ff3','149be3ca6c8978268d6529f7eb0ec3dc779a8fda29cd607e310d720691496294');
INSERT INTO "entry" VALUES(42,'2025-10-18 10:39:00.000000','Ivo Tarrask','turns 2','149be3ca6c8978268d6529f7eb0ec3dc779a8fda29cd607e310d720691496294','f6a95ef532badc3c94eb84fc1b4bbe0e518b5029d0b09658ce0bda599812533b');
INSERT INTO "entry" VALUES(43,'2025-10-18 10:42:00.000000','Ivo Tarrask','proof IN C 13','f6a95ef532badc3c94eb84fc1b4bbe0e518b5029d0b09658ce0bda599812533b','3cf19bbbf1439e52aea25ff73843f10e59ab88597937b854f54be66282351532');
INSERT INTO "entry" VALUES(44,'2025-10-18 10:45:00.000000','Ivo Tarrask','proof EX L 20','3cf19bbbf1439e52aea25ff73843f10e59ab88597937b854f54be66282351532','2e2e6becd04ccdcd123acfa3fe3549e3e944c522c70084ab763e6d9f17defa83');
INSERT INTO "entry" VALUES(45,'2025-10-18 10:48:00.000000','Ivo Tarrask','safety pull-plug True','2e2e6becd04ccdcd123acfa3fe3549e3e944c522c70084ab763e6d9f17defa83','528cfc957e64c9eb01bec255ee7662cdf3773d40e490c9dcc3ce2ea46ac24ad3');
INSERT INTO "entry" VALUES(46,'2025-10-18 10:51:00.000000','Ivo Tarrask','safety pull-mark True','528cfc957e64c9eb01bec255ee7662cdf3773d40e490c9dcc3ce2ea46ac24ad3','8925fa6b5cd903a2c0b2d2952718902baa6a7b57dd5bf575915610d0904a6a01');
INSERT INTO "entry" VALUES(47,'2025-10-18 10:54:00.000000','Ivo Tarrask','safety pull-tensioner True','8925fa6b5cd903a2c0b2d2952718902baa6a7b57dd5bf575915610d0904a6a01','f729bc6f4b26b4734fd9282c969dab2ba4dc3b9204791ebd214100a591f16744');
INSERT INTO "entry" VALUES(48,'2025-10-18 10:57:00.000000','Ivo Tarrask','safety pull-caps True','f729bc6f4b26b4734fd9282c969dab2ba4dc3b9204791ebd214100a591f16744','df3b862eb15ea1d662bbb010dd95a0f196771b7d7aacabe1da22fa5e2eacfa15');
INSERT INTO "entry" VALUES(49,'2025-10-18 11:00:00.000000','Ivo Tarrask','safety pull-lift True','df3b862eb15ea1d662bbb010dd95a0f196771b7d7aacabe1da22fa5e2eacfa15','cecc4e6105a152f259f3e4a712f8a6a5b194d207cefc87df71a91a67835f4c0a');
INSERT INTO "entry" VALUES(50,'2025-10-18 11:03:00.000000','Ivo Tarrask','safety pull-bucket True','cecc4e6105a152f259f3e4a712f8a6a5b194d207cefc87df71a91a67835f4c0a','74ec4dc49d5550a5b839afde5a77088888b5c5facb0481d8a05d4b71f1a39377');
INSERT INTO "entry" VALUES(51,'2025-10-18 11:06:00.000000','Ivo Tarrask','safety pull-read True','74ec4dc49d5550a5b839afde5a77088888b5c5facb0481d8a05d4b71f1a39377','a019709f2060e478732fc18eaf2d5fa4b9936f9761c79704d9359a4a65dd32b0');
INSERT INTO "entry" VALUES(52,'2025-10-18 11:09:00.000000','Ivo Tarrask','safety close-count True','a019709f2060e478732fc18eaf2d5fa4b9936f9761c79704d9359a4a65dd32b0','3c30167b41e746db5625a7de0bb6006e94109f39b02cb8286d5a944040114e46');
INSERT INTO "entry" VALUES(53,'2025-10-18 11:12:00.000000','Ivo Tarrask','safety close-lay True','3c30167b41e746db5625a7de0bb6006e94109f39b02cb8286d5a944040114e46','80445e9454ae397927f792cc43bd1600b296726017caa98cc2c86716f510d8ab');
INSERT INTO "entry" VALUES(54,'2025-10-18 11:15:00.000000','Ivo Tarrask','safety close-caps True','80445e9454ae397927f792cc43bd1600b296726017caa98cc2c86716f510d8ab','94bdfb842e265e523c6fd30a76153af472a46d44df90dd8bdedc92f70c522216');
INSERT INTO "entry" VALUES(55,'2025-10-18 11:18:00.000000','Ivo Tarrask','safety close-marks True','94bdfb842e265e523c6fd30a76153af472a46d44df90dd8bdedc92f70c522216','a158330515fadadcfcdb18ce389f1eab3191562a67b788310f5927a1c273a979');
INSERT INTO "entry" VALUES(56,'2025-10-18 11:21:00.000000','Ivo Tarrask','safety close-tensioner True','a158330515fadadcfcdb18ce389f1eab3191562a67b788310f5927a1c273a979','b88c94ad487d637cf91803115b2994d0bdcc62d4d62308c2eb288e74144592a7');
INSERT INTO "entry" VALUES(57,'2025-10-18 11:24:00.000000','Ivo Tarrask','safety close-slack True','b88c94ad487d637cf91803115b2994d0bdcc62d4d62308c2eb288e74144592a7','5a190f2fe06690d1e04c61598c000b9772f9e8f912197f5d03c5ebd7b5c349d5');
INSERT INTO "entry" VALUES(58,'2025-10-18 11:27:00.000000','Ivo Tarrask','safety close-turns True','5a190f2fe06690d1e04c61598c000b9772f9e8f912197f5d03c5ebd7b5c349d5','9e3a04ba807810d22c8d1e1952efca4c57027e497c280cd60f76a556ef825a76');
INSERT INTO "entry" VALUES(59,'2025-10-18 11:30:00.000000','Ivo Tarrask','safety close-cover True','9e3a04ba807810d22c8d1e1952efca4c57027e497c280cd60f76a556ef825a76','9ce523432f0496a345959b972817d3def08093e24bc1e1363c44889e756b434f');
INSERT INTO "entry" VALUES(60,'2025-10-18 11:33:00.000000','Ivo Tarrask','safety close-cover-torque True','9ce523432f0496a345959b972817d3def08093e24bc1e1363c44889e756b434f','38f19c808f3449c287c328ebd3cdcfb18c647c31e45e9f42e0d23ec444fe1935');
INSERT INTO "entry" VALUES(61,'2025-10-18 11:36:00.000000','Ivo Tarrask','safety close-rest True','38f19c808f3449c287c328ebd3cdcfb18c647c31e45e9f42e0d23ec444fe1935','83a59133d94d1caec1b009106312e3183cfc753e6ca52b54aed72aa55f09d242');
INSERT INTO "entry" VALUES(62,'2025-10-18 11:39:00.000000','Ivo Tarrask','sign','83a59133d94d1caec1b009106312e3183cfc753e6ca52b54aed72aa55f09d242','3b818e2dd95334f7579538581237a988174cc01605f903c7c35212b47d5bd251');
INSERT INTO "entry" VALUES(63,'2026-11-19 08:40:00.000000','Merrin Oske','card opened','3b818e2dd95334f7579538581237a988174cc01605f903c7c35212b47d5bd251','976bf336b5efadc27ab38d8756e1aea672043dda7676d026c948e27b75e96f2a');
INSERT INTO "entry" VALUES(64,'2026-11-19 08:43:00.000000','Merrin Oske','conditions','976bf336b5efadc27ab38d8756e1aea672043dda7676d026c948e27b75e96f2a','74f75060296abd46d00b36999c0aea830f1f7f12565dfdf637ef3ebee8f6410a');
INSERT INTO "entry" VALUES(65,'2026-11-19 08:46:00.000000','Merrin Oske','safety power True','74f75060296abd46d00b36999c0aea830f1f7f12565dfdf637ef3ebee8f6410a','930103eac7ed636625a323c9645fd2a5b42394f3466e8a05b1340a4debc4ce05');
INSERT INTO "entry" VALUES(66,'2026-11-19 08:49:00.000000','Merrin Oske','safety stand True','930103eac7ed636625a323c9645fd2a5b42394f3466e8a05b1340a4debc4ce05','91acc48c2e7ef2886babff439dcc94c420d92d2baa9e179b2c562f2fb81ee970');
INSERT INTO "entry" VALUES(67,'2026-11-19 08:52:00.000000','Merrin Oske','safety fuel True','91acc48c2e7ef2886babff439dcc94c420d92d2baa9e179b2c562f2fb81ee970','d62eee90e6478270e0fb5bee4b07c4a74214a9e5fd8d1df50c2b1a4dd29b0570');
INSERT INTO "entry" VALUES(68,'2026-11-19 08:55:00.000000','Merrin Oske','safety hands True','d62eee90e6478270e0fb5bee4b07c4a74214a9e5fd8d1df50c2b1a4dd29b0570','4f821365bed7b923cdd5f2a9b3e3960b5718c515381082358777b17ec1cb8192');
INSERT INTO "entry" VALUES(69,'2026-11-19 08:58:00.000000','Merrin Oske','safety clean True','4f821365bed7b923cdd5f2a9b3e3960b5718c515381082358777b17ec1cb8192','7d336cfe5f5780085358472af526038290ef5be1351152a58a11bc56274e654d');
INSERT INTO "entry" VALUES(70,'2026-11-19 09:01:00.000000','Merrin Oske','safety plug True','7d336cfe5f5780085358472af526038290ef5be1351152a58a11bc56274e654d','9d98f60ad188d52b98bfcab2ca3fa9a7d9070987f29b597d3afea5b1e606a354');
INSERT INTO "entry" VALUES(71,'2026-11-19 09:04:00.000000','Merrin Oske','safety plugs-out True','9d98f60ad188d52b98bfcab2ca3fa9a7d9070987f29b597d3afea5b1e606a354','5ddabbc0611293a3e452f6ae96859309113ada0c4645ad5953c0aa4e07a24ebc');
INSERT INTO "entry" VALUES(72,'2026-11-19 09:07:00.000000','Merrin Oske','safety direction True','5ddabbc0611293a3e452f6ae96859309113ada0c4645ad5953c0aa4e07a24ebc','413a1f340308f7ffa5951c8ada5e48bb6f2aee5536bdee6f3b1a47cde0a8093c');
INSERT INTO "entry" VALUES(73,'2026-11-19 09:10:00.000000','Merrin Oske','found 1 EX L 28','413a1f340308f7ffa5951c8ada5e48bb6f2aee5536bdee6f3b1a47cde0a8093c','5a7c856df81810878a71bdce00afb7f0ab8461cf540faaa3cbf2e6d8cd0b1913');
INSERT INTO "entry" VALUES(74,'2026-11-19 09:13:00.000000','Merrin Oske','found 1 EX R 25-28','5a7c856df81810878a71bdce00afb7f0ab8461cf540faaa3cbf2e6d8cd0b1913','469b41c7f5f408b75d7c1f501e0abcc2a074c519db70f930b9ea8bdcc292655f');
INSERT INTO "entry" VALUES(75,'2026-11-19 09:16:00.000000','Merrin Oske','found 2 IN L 15-18','469b41c7f5f408b75d7c1f501e0abcc2a074c519db70f930b9ea8bdcc292655f','0416690e2a9e7cd30ed6be623171b8327973c137e16b1bc64e52db818284013c');
INSERT INTO "entry" VALUES(76,'2026-11-19 09:19:00.000000','Merrin Oske','found 2 IN R 15','0416690e2a9e7cd30ed6be623171b8327973c137e16b1bc64e52db818284013c','80f6d61928698f84283023e964ae680a70613502dc2941ab954fed11440562da');
INSERT INTO "entry" VALUES(77,'2026-11-20 08:40:00.000000','Sanna Veldrig','card opened','80f6d61928698f84283023e964ae680a70613502dc2941ab954fed11440562da','f2db4ff2cfcc412b320ef82d37af83310b4b45411059475a56b7f23d8bfb7438');
INSERT INTO "entry" VALUES(78,'2026-11-20 08:43:00.000000','Sanna Veldrig','conditions','f2db4ff2cfcc412b320ef82d37af83310b4b45411059475a56b7f23d8bfb7438','b5a09ef5418eb77c0fa3058d062b2b1b77d16deace2ad3500ffb99c54a2b9f5f');
INSERT INTO "entry" VALUES(79,'2026-11-20 08:46:00.000000','Sanna Veldrig','safety power True','b5a09ef5418eb77c0fa3058d062b2b1b77d16deace2ad3500ffb99c54a2b9f5f','a6b22e3f36ca418b1f1923445e6f81247a7fb5252dd16c6a1f5448ecc6fbd46c');
INSERT INTO "entry" VALUES(80,'2026-11-20 08:49:00.000000','Sanna Veldrig','safety stand True','a6b22e3f36ca418b1f1923445e6f81247a7fb5252dd16c6a1f5448ecc6fbd46c','b0d63d2d3402e6afa60a7e46cca210ff0f53b61e6f9f76ddd4c7f0f84284f865');
INSERT INTO "entry" VALUES(81,'2026-11-20 08:52:00.000000','Sanna Veldrig','safety fuel True','b0d63d2d3402e6afa60a7e46cca210ff0f53b61e6f9f76ddd4c7f0f84284f865','11e1e5d31cfbd150366ac7f128ca3713ebefa85d67f44d3b2fbefd39692b909d');
INSERT INTO "entry" VALUES(82,'2026-11-20 08:55:00.000000','Sanna Veldrig','safety hands True','11e1e5d31cfbd150366ac7f128ca3713ebefa85d67f44d3b2fbefd39692b909d','173d225d83c50b1b88120142a22a105f7beee537a37a120a9f918a4bd550818e');
INSERT INTO "entry" VALUES(83,'2026-11-20 08:58:00.000000','Sanna Veldrig','safety clean True','173d225d83c50b1b88120142a22a105f7beee537a37a120a9f918a4bd550818e','29843799267a4c4c3dac0dbb320956ebcb19e486a1b3cc593ec9a71b58a838e5');
INSERT INTO "entry" VALUES(84,'2026-11-20 09:01:00.000000','Sanna Veldrig','safety plug True','29843799267a4c4c3dac0dbb320956ebcb19e486a1b3cc593ec9a71b58a838e5','03039e7b62bbe98fbf3ff37d993a1dd41996d8e9e4c38a87d7d8a0180142bd0e');
INSERT INTO "entry" VALUES(85,'2026-11-20 09:04:00.000000','Sanna Veldrig','safety plugs-out True','03039e7b62bbe98fbf3ff37d993a1dd41996d8e9e4c38a87d7d8a0180142bd0e','1d540d196a154bbe4890f354e5dbe169492ef6bfbb97f5061908ba6ea03059ff');
INSERT INTO "entry" VALUES(86,'2026-11-20 09:07:00.000000','Sanna Veldrig','safety direction True','1d540d196a154bbe4890f354e5dbe169492ef6bfbb97f5061908ba6ea03059ff','783b9c9a5a98dc97e8ed84bffe010eac932f3af05d1b78623d4f107a25ca83b7');
INSERT INTO "entry" VALUES(87,'2026-11-20 09:10:00.000000','Sanna Veldrig','tray','783b9c9a5a98dc97e8ed84bffe010eac932f3af05d1b78623d4f107a25ca83b7','6ad350846cb8583fe950db9627581a4d9f6ae693a10285f7eb4c02c570f27b83');
INSERT INTO "entry" VALUES(88,'2026-11-20 09:13:00.000000','Sanna Veldrig','found 1 IN L 15','6ad350846cb8583fe950db9627581a4d9f6ae693a10285f7eb4c02c570f27b83','45efa3949c94a2562bb63c7ef52e9d40280b981071928033f99a5414c04a3abf');
INSERT INTO "entry" VALUES(89,'2026-11-20 09:16:00.000000','Sanna Veldrig','found 1 IN R 13-15','45efa3949c94a2562bb63c7ef52e9d40280b981071928033f99a5414c04a3abf','272d528ae8e7a0d54e562981cb0b0db1a45a6c0abe5f3b5ef95842f5a9e82b71');
INSERT INTO "entry" VALUES(90,'2026-11-20 09:19:00.000000','Sanna Veldrig','found 1 EX L 23','272d528ae8e7a0d54e562981cb0b0db1a45a6c0abe5f3b5ef95842f5a9e82b71','6b8820b2fa486e3861cabb908135e8ab293bab146b1b68097064177554bab17c');
INSERT INTO "entry" VALUES(91,'2026-11-20 09:22:00.000000','Sanna Veldrig','found 1 EX R 18-20','6b8820b2fa486e3861cabb908135e8ab293bab146b1b68097064177554bab17c','44a37df7181774c304f5b80e7530804dd9485a5bee382d0ad2e93434f7ad323d');
INSERT INTO "entry" VALUES(92,'2026-11-20 09:25:00.000000','Sanna Veldrig','found 2 IN L 13','44a37df7181774c304f5b80e7530804dd9485a5bee382d0ad2e93434f7ad323d','908b8052bc9828c5afadebe1daf92242d63f68fe6dfe25bcb4a5c94452a73cf8');
INSERT INTO "entry" VALUES(93,'2026-11-20 09:28:00.000000','Sanna Veldrig','found 2 IN R 8-10','908b8052bc9828c5afadebe1daf92242d63f68fe6dfe25bcb4a5c94452a73cf8','aa52ddaef20c55ca420ebf01e9ad9fa2f006c33b2b08f02078e3c19f4e6994ac');
INSERT INTO "entry" VALUES(94,'2026-11-20 09:31:00.000000','Sanna Veldrig','found 2 EX L 25','aa52ddaef20c55ca420ebf01e9ad9fa2f006c33b2b08f02078e3c19f4e6994ac','1d2711108bb0e7ec6f4057dd7ee6a7778b2604d9b72dede6bed8f7927d58b1a5');
INSERT INTO "entry" VALUES(95,'2026-11-20 09:34:00.000000','Sanna Veldrig','found 2 EX R x','1d2711108bb0e7ec6f4057dd7ee6a7778b2604d9b72dede6bed8f7927d58b1a5','73ed929e0d0ceb29ecabc85d8d0be4a3bbe6e61ff2bc42420579c93ae72d49c8');
INSERT INTO "entry" VALUES(96,'2026-11-20 09:37:00.000000','Sanna Veldrig','found 3 IN L 23','73ed929e0d0ceb29ecabc85d8d0be4a3bbe6e61ff2bc42420579c93ae72d49c8','6967b7a1b0baa299e38642be0c079fd7e8644aef8c5d9f3c0fb65c56759a1eea');
INSERT INTO "entry" VALUES(97,'2026-11-20 09:40:00.000000','Sanna Veldrig','found 3 IN R 15','6967b7a1b0baa299e38642be0c079fd7e8644aef8c5d9f3c0fb65c56759a1eea','c0a2654a2d8ca5b933ea571bd27df61f9b57d2f9324c5373a4828a3deb7f8f77');
INSERT INTO "entry" VALUES(98,'2026-11-20 09:43:00.000000','Sanna Veldrig','found 3 EX L 23-25','c0a2654a2d8ca5b933ea571bd27df61f9b57d2f9324c5373a4828a3deb7f8f77','de459a717cb94e704db4c3035ce22650f913f46a39302355e61ce3cc4e432766');
INSERT INTO "entry" VALUES(99,'2026-11-20 09:46:00.000000','Sanna Veldrig','found 3 EX R 28','de459a717cb94e704db4c3035ce22650f913f46a39302355e61ce3cc4e432766','f69d70aac437366a88585f4d836314e4bef64b6ed13d24b3d0b206c6711b5a58');
INSERT INTO "entry" VALUES(100,'2026-11-20 09:49:00.000000','Sanna Veldrig','piece 1 EX R 255 2.548','f69d70aac437366a88585f4d836314e4bef64b6ed13d24b3d0b206c6711b5a58','194abe0ffde996bfcbd429562eb62d0f6dda0ba5269d47771b9eac599b9039c8');
INSERT INTO "entry" VALUES(101,'2026-11-20 09:52:00.000000','Sanna Veldrig','piece 2 IN R 2475 2.472','194abe0ffde996bfcbd429562eb62d0f6dda0ba5269d47771b9eac599b9039c8','ec2cdee6fab58cc3800e986510650416ce093910446d0b8cb402306971781a1e');
INSERT INTO "entry" VALUES(102,'2026-11-20 09:55:00.000000','Sanna Veldrig','piece 2 EX R 260 2.596 2.597','ec2cdee6fab58cc3800e986510650416ce093910446d0b8cb402306971781a1e','3d97824274dc0dff0072ec2755844badb3e66f7a58f640625c4f62df6013c3fa');
INSERT INTO "entry" VALUES(103,'2026-11-20 09:58:00.000000','Sanna Veldrig','piece 3 IN L 240 2.371','3d97824274dc0dff0072ec2755844badb3e66f7a58f640625c4f62df6013c3fa','9a2b167be002f7b43eb45a58caae78dfc1af3fa9ae3bf71a309138aad423b6c8');
INSERT INTO "entry" VALUES(104,'2026-11-20 10:01:00.000000','Sanna Veldrig','piece 1 IN L 245 2.448','9a2b167be002f7b43eb45a58caae78dfc1af3fa9ae3bf71a309138aad423b6c8','a3de0c393c7bdc4ee105a91a505cbb1449a0b6247da2147013b26872bcaa57df');
INSERT INTO "entry" VALUES(105,'2026-11-20 10:04:00.000000','Sanna Veldrig','piece 2 IN L 2425 2.423','a3de0c393c7bdc4ee105a91a505cbb1449a0b6247da2147013b26872bcaa57df','1b0b64f24a6a5cbf00553afa13460b3600cc77cac34ffb5f38176f654ee75eaf');
INSERT INTO "entry" VALUES(106,'2026-11-20 10:07:00.000000','Sanna Veldrig','piece 3 IN R ?? 2.448','1b0b64f24a6a5cbf00553afa13460b3600cc77cac34ffb5f38176f654ee75eaf','aec78cf6a5811d115d42515056db2ebd5736fc23f40b40fe4b78863b3dc75b75');
INSERT INTO "entry" VALUES(107,'2026-11-20 10:10:00.000000','Sanna Veldrig','piece 1 EX L 255 2.549','aec78cf6a5811d115d42515056db2ebd5736fc23f40b40fe4b78863b3dc75b75','a95c2777b2e95ee9d1df21743a2a620f8a6ae8905b49397e4863bd6633729870');
INSERT INTO "entry" VALUES(108,'2026-11-20 10:13:00.000000','Sanna Veldrig','piece 2 EX L 2525 2.522','a95c2777b2e95ee9d1df21743a2a620f8a6ae8905b49397e4863bd6633729870','85849d5e8a29ada82b8d4f1fb1600f9d5fedfaef3e61decac1cc9b54f10e1c2a');
INSERT INTO "entry" VALUES(109,'2026-11-20 10:16:00.000000','Sanna Veldrig','piece 3 EX R 250 2.501','85849d5e8a29ada82b8d4f1fb1600f9d5fedfaef3e61decac1cc9b54f10e1c2a','25a2956f722e5e38371294288daff0bfad3270e832ef99d0aeba2e0e4b084238');
INSERT INTO "entry" VALUES(110,'2026-11-22 08:40:00.000000','Sanna Veldrig','card opened','25a2956f722e5e38371294288daff0bfad3270e832ef99d0aeba2e0e4b084238','6f9a1af55725328d1a9d6cd609466e47a0a80ceb6570dbae04a3c7e86a2b5fcd');
INSERT INTO "entry" VALUES(111,'2026-11-22 08:43:00.000000','Sanna Veldrig','conditions','6f9a1af55725328d1a9d6cd609466e47a0a80ceb6570dbae04a3c7e86a2b5fcd','076b80a5cebb77bee195e811fbba715540e29e69b3612034b51bf79496a938b7');
INSERT INTO "entry" VALUES(112,'2026-11-22 08:46:00.000000','Sanna Veldrig','safety power True','076b80a5cebb77bee195e811fbba715540e29e69b3612034b51bf79496a938b7','e98099868accad08c6905b3e4b9d483f3268eb848777da9188f103788c45121d');
INSERT INTO "entry" VALUES(113,'2026-11-22 08:49:00.000000','Sanna Veldrig','safety stand True','e98099868accad08c6905b3e4b9d483f3268eb848777da9188f103788c45121d','32a263890a14fe62d63264592a658ded5699016015431866110802a261c4d8a4');
INSERT INTO "entry" VALUES(114,'2026-11-22 08:52:00.000000','Sanna Veldrig','safety fuel True','32a263890a14fe62d63264592a658ded5699016015431866110802a261c4d8a4','ba67f06f9b640d4ed714601b7dfbd9cdfe38ce7c4b5222a27d70866774ffa44f');
INSERT INTO "entry" VALUES(115,'2026-11-22 08:55:00.000000','Sanna Veldrig','safety hands True','ba67f06f9b640d4ed714601b7dfbd9cdfe38ce7c4b5222a27d70866774ffa44f','8f6ae6f0e61ac6713826b8ed0e7577a4cf08006abd060591190b4adc8a22fd16');
INSERT INTO "entry" VALUES(116,'2026-11-22 08:58:00.000000','Sanna Veldrig','safety clean True','8f6ae6f0e61ac6713826b8ed0e7577a4cf08006abd060591190b4adc8a22fd16','b59147b9617bda62d2df874d52d3183b9155e99a2bff4fe681e4628e99a56fcb');
INSERT INTO "entry" VALUES(117,'2026-11-22 09:01:00.000000','Sanna Veldrig','safety plug True','b59147b9617bda62d2df874d52d3183b9155e99a2bff4fe681e4628e99a56fcb','777a3fc9aa31a46484ec27e13e3f8fd5664970998a126bb313e71ea4d4f6a3e1');
INSERT INTO "entry" VALUES(118,'2026-11-22 09:04:00.000000','Sanna Veldrig','safety plugs-out True','777a3fc9aa31a46484ec27e13e3f8fd5664970998a126bb313e71ea4d4f6a3e1','63f90885316d59494ce8ce6a12a8b80bf58f99c92ab084a45e744eee3d195df1');
INSERT INTO "entry" VALUES(119,'2026-11-22 09:07:00.000000','Sanna Veldrig','safety direction True','63f90885316d59494ce8ce6a12a8b80bf58f99c92ab084a45e744eee3d195df1','b3abdd2bcd5e218db4aa2094a5a88e4e949b18df8f768e04b148c8868e6a643d');
INSERT INTO "entry" VALUES(120,'2026-11-22 09:10:00.000000','Sanna Veldrig','tray','b3abdd2bcd5e218db4aa2094a5a88e4e949b18df8f768e04b148c8868e6a643d','32934383e15d9188733e33f9cb688673a33d067c0c2dbc845b2dccc781897d67');
INSERT INTO "entry" VALUES(121,'2026-11-22 09:13:00.000000','Sanna Veldrig','found 1 IN L 12','32934383e15d9188733e33f9cb688673a33d067c0c2dbc845b2dccc781897d67','df80a2c27e433dabf0d16f2f6c8341c709b042c6ea71fa2a68d8b7983e4945c3');
INSERT INTO "entry" VALUES(122,'2026-11-22 09:16:00.000000','Sanna Veldrig','found 1 IN R 7','df80a2c27e433dabf0d16f2f6c8341c709b042c6ea71fa2a68d8b7983e4945c3','9863bb81505529d7dedf7279cacc07610dea6fc90f09db3e59650acb8650b80e');
INSERT INTO "entry" VALUES(123,'2026-11-22 09:19:00.000000','Sanna Veldrig','found 1 EX L 25','9863bb81505529d7dedf7279cacc07610dea6fc90f09db3e59650acb8650b80e','9bcd5153a7565c7b31fbbf788edc52ee4b761976acc15e6ed565629f8a80dd65');
INSERT INTO "entry" VALUES(124,'2026-11-22 09:22:00.000000','Sanna Veldrig','found 1 EX R 15-18','9bcd5153a7565c7b31fbbf788edc52ee4b761976acc15e6ed565629f8a80dd65','4ac152104198597c35e3c73b9f6c7eee0c7a5723b43dff6f7a2d79f0e8aa4d4b');
INSERT INTO "entry" VALUES(125,'2026-11-22 09:25:00.000000','Sanna Veldrig','found 2 IN L 13','4ac152104198597c35e3c73b9f6c7eee0c7a5723b43dff6f7a2d79f0e8aa4d4b','e30a227c1f67a3fe4e343541ff54ce7a6f04202de3bca0f096b03992c7d0e0db');
INSERT INTO "entry" VALUES(126,'2026-11-22 09:28:00.000000','Sanna Veldrig','found 2 IN R 8','e30a227c1f67a3fe4e343541ff54ce7a6f04202de3bca0f096b03992c7d0e0db','4336f1cb2a19a61ded174ed978bedd428785b2addc132b8f890216651b9c72cb');
INSERT INTO "entry" VALUES(127,'2026-11-22 09:31:00.000000','Sanna Veldrig','found 2 EX L 20','4336f1cb2a19a61ded174ed978bedd428785b2addc132b8f890216651b9c72cb','37a1c8e9779f8d4da84761c14f2228c1c02c949bbb11fd03487fb78320e86a6d');
INSERT INTO "entry" VALUES(128,'2026-11-22 09:34:00.000000','Sanna Veldrig','found 2 EX R 23-25','37a1c8e9779f8d4da84761c14f2228c1c02c949bbb11fd03487fb78320e86a6d','cce413f1e4420e25e69572955f8009562a0218d1b894eac406c84c746338765a');
INSERT INTO "entry" VALUES(129,'2026-11-22 09:37:00.000000','Sanna Veldrig','piece 1 IN R 260 2.602','cce413f1e4420e25e69572955f8009562a0218d1b894eac406c84c746338765a','ed5890a38c1f62bc448829c1b4b5fc1f7d0a2c83dc708832bfbbd042f67872ed');
INSERT INTO "entry" VALUES(130,'2026-11-22 09:40:00.000000','Sanna Veldrig','piece 1 EX R 264 2.641','ed5890a38c1f62bc448829c1b4b5fc1f7d0a2c83dc708832bfbbd042f67872ed','11414657e83fd46256167e42c53e715e45052b1e3bc4c02808c692cf628fe767');
INSERT INTO "entry" VALUES(131,'2026-11-22 09:43:00.000000','Sanna Veldrig','piece 2 IN R 252 2.520','11414657e83fd46256167e42c53e715e45052b1e3bc4c02808c692cf628fe767','48d8ba4c1d46eedc9cbc6d3ba9eafba13eaad155d687230bd06822cde99460a7');
INSERT INTO "entry" VALUES(132,'2026-11-22 09:46:00.000000','Sanna Veldrig','piece 2 EX L 256 2.561','48d8ba4c1d46eedc9cbc6d3ba9eafba13eaad155d687230bd06822cde99460a7','618496e9e2bcc0a3a9f46fb4741bf6fde4adf66c0c37440d8a33b43644f92188');
INSERT INTO "entry" VALUES(133,'2026-11-22 09:49:00.000000','Sanna Veldrig','variant only-new','618496e9e2bcc0a3a9f46fb4741bf6fde4adf66c0c37440d8a33b43644f92188','685129d3de6a24a6dc69884933f663f949b5310dfde4cd7843bcba079622a1d8');
INSERT INTO "entry" VALUES(134,'2026-11-22 09:52:00.000000','Sanna Veldrig','take plan','685129d3de6a24a6dc69884933f663f949b5310dfde4cd7843bcba079622a1d8','b45fc0ca0b68812221a589fc05c2b924905fcf30a0f1cfa3bc694aafd7fb4dcc');
INSERT INTO "entry" VALUES(135,'2026-11-22 09:55:00.000000','Sanna Veldrig','bolts Cam caps','b45fc0ca0b68812221a589fc05c2b924905fcf30a0f1cfa3bc694aafd7fb4dcc','42e204f4c898fdf1c49d3ed26aa3b4c07e8ae3ba932c188dfc5198dfef54d716');
INSERT INTO "entry" VALUES(136,'2026-11-22 09:58:00.000000','Sanna Veldrig','turned Cam caps 17','42e204f4c898fdf1c49d3ed26aa3b4c07e8ae3ba932c188dfc5198dfef54d716','07917b292299c236f301ddf36cf5d5353e3ce7a22c0c531df48bac760766be65');
INSERT INTO "entry" VALUES(137,'2026-11-22 10:01:00.000000','Sanna Veldrig','fit 1 IN R True','07917b292299c236f301ddf36cf5d5353e3ce7a22c0c531df48bac760766be65','74e1fa1ee8edd704d10e1df9b7e2b07f15437f1294ecfb08e5cf9ff24b6f4d48');
INSERT INTO "entry" VALUES(138,'2026-11-22 10:04:00.000000','Sanna Veldrig','fit 1 EX R True','74e1fa1ee8edd704d10e1df9b7e2b07f15437f1294ecfb08e5cf9ff24b6f4d48','dda89424fcca6c5ce1fb1b34675342880f8b6219a8e12124c8610a3db745f73f');
INSERT INTO "entry" VALUES(139,'2026-11-22 10:07:00.000000','Sanna Veldrig','fit 2 IN R True','dda89424fcca6c5ce1fb1b34675342880f8b6219a8e12124c8610a3db745f73f','9fccfad177c7bac9f1c246e6e10ec9701a2b55dfd60ee242ba0058b0b854ec94');
INSERT INTO "entry" VALUES(140,'2026-11-22 10:10:00.000000','Sanna Veldrig','fit 2 EX L True','9fccfad177c7bac9f1c246e6e10ec9701a2b55dfd60ee242ba0058b0b854ec94','a65503fbf9da132413d330b0d87ef2e7a1ad9496ceef6302c7465a7c62edeae2');
INSERT INTO "entry" VALUES(141,'2026-11-22 10:13:00.000000','Sanna Veldrig','turns 2','a65503fbf9da132413d330b0d87ef2e7a1ad9496ceef6302c7465a7c62edeae2','3fc09aa2bc633e36c4dde5d8fcabf350dc6134e361bb8f25190cf27db959dc6b');
INSERT INTO "entry" VALUES(142,'2026-11-22 10:16:00.000000','Sanna Veldrig','proof 1 IN R 18-20','3fc09aa2bc633e36c4dde5d8fcabf350dc6134e361bb8f25190cf27db959dc6b','d967f3c5339673aabcb869b17866d0cbe57f3463ca7997b69108b11ca1bba5e8');
INSERT INTO "entry" VALUES(143,'2026-11-22 10:19:00.000000','Sanna Veldrig','proof 1 EX R 23-25','d967f3c5339673aabcb869b17866d0cbe57f3463ca7997b69108b11ca1bba5e8','b8a5060107e07ebae4c81131fd6afe3d0b5f81d76555d3a60cdfabd895799fc2');
INSERT INTO "entry" VALUES(144,'2026-11-22 10:22:00.000000','Sanna Veldrig','proof 2 IN R 8','b8a5060107e07ebae4c81131fd6afe3d0b5f81d76555d3a60cdfabd895799fc2','2f8e4b6f91185fccddad1f62c7bf5274afe79e873336bedbf343e097c82d14bc');
INSERT INTO "entry" VALUES(145,'2026-11-22 10:25:00.000000','Sanna Veldrig','proof 2 EX L 23-25','2f8e4b6f91185fccddad1f62c7bf5274afe79e873336bedbf343e097c82d14bc','c9e122fffb522c129212a24cfc48691c79298ceb97e3beabf43d41f075a25085');
INSERT INTO "entry" VALUES(146,'2026-11-22 10:28:00.000000','Sanna Veldrig','proof 1 IN L 12','c9e122fffb522c129212a24cfc48691c79298ceb97e3beabf43d41f075a25085','f0503602a30137df63e3a2743187bb90d0230b54edcfd965292f483e72d7893d');
INSERT INTO "entry" VALUES(147,'2026-11-22 10:31:00.000000','Sanna Veldrig','proof 1 EX L 25','f0503602a30137df63e3a2743187bb90d0230b54edcfd965292f483e72d7893d','118cc137322729d139c57597aff383821c35e222996d1d99c67ba17063e6981d');
INSERT INTO "entry" VALUES(148,'2025-09-23 09:30:00.000000','','an old notebook taken in','118cc137322729d139c57597aff383821c35e222996d1d99c67ba17063e6981d','dfd98ae88aad0022e11400fef3337af69a21f887f3132a90f040c39027a7d81e');
INSERT INTO "entry" VALUES(149,'2025-09-23 09:30:00.000000','','an old notebook taken in','dfd98ae88aad0022e11400fef3337af69a21f887f3132a90f040c39027a7d81e','fe3522340aefbfd11395cf3a861b3bf1d714d19ee2196a2c2f5d73b149424aa2');
CREATE TABLE "gap_reading" (
	purpose VARCHAR NOT NULL, 
	unit VARCHAR NOT NULL, 
	goes JSON, 
	refuses JSON, 
	feel VARCHAR, 
	low_nm INTEGER, 
	high_nm INTEGER, 
	open_above BOOLEAN NOT NULL, 
	called_nm INTEGER, 
	supersedes_id INTEGER, 
	id INTEGER NOT NULL, 
	round_id INTEGER NOT NULL, 
	valve VARCHAR NOT NULL, 
	typed VARCHAR NOT NULL, 
	recorded_at DATETIME NOT NULL, 
	superseded_at DATETIME, 
	repeats BOOLEAN DEFAULT 0 NOT NULL, 
	kept JSON DEFAULT '[]' NOT NULL, 
	warm BOOLEAN DEFAULT 0 NOT NULL, 
	guess BOOLEAN DEFAULT 0 NOT NULL, reason VARCHAR DEFAULT '' NOT NULL, thinnest BOOLEAN DEFAULT '1' NOT NULL, 
	CONSTRAINT pk_gap_reading PRIMARY KEY (id), 
	CONSTRAINT ck_gap_reading_purpose CHECK (purpose IN ('found', 'proof')), 
	CONSTRAINT fk_gap_reading_round_id_round FOREIGN KEY(round_id) REFERENCES round (id), 
	CONSTRAINT fk_gap_reading_supersedes_id_gap_reading FOREIGN KEY(supersedes_id) REFERENCES gap_reading (id)
);
INSERT INTO "gap_reading" VALUES('found','mm','[120000]',NULL,'drag',120000,120000,0,NULL,NULL,1,1,'IN L','12','2025-10-18 10:03:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[80000]',NULL,'drag',80000,80000,0,NULL,NULL,2,1,'IN C','8','2025-10-18 10:06:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[100000]','[130000]',NULL,100000,130000,1,NULL,NULL,3,1,'IN R','10-13','2025-10-18 10:09:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]','[180000]',NULL,150000,180000,1,NULL,NULL,4,1,'EX L','15-18','2025-10-18 10:12:00.000000','2025-10-18 10:18:00.000000',0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[200000]',NULL,'drag',200000,200000,0,NULL,NULL,5,1,'EX R','20','2025-10-18 10:15:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]',NULL,'drag',150000,150000,0,NULL,4,6,1,'EX L','15','2025-10-18 10:18:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[130000]',NULL,'drag',130000,130000,0,NULL,NULL,7,1,'IN C','13','2025-10-18 10:42:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[200000]',NULL,'drag',200000,200000,0,NULL,NULL,8,1,'EX L','20','2025-10-18 10:45:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[280000]',NULL,'drag',280000,280000,0,NULL,NULL,9,2,'1 EX L','28','2026-11-19 09:10:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[250000]','[280000]',NULL,250000,280000,1,NULL,NULL,10,2,'1 EX R','25-28','2026-11-19 09:13:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]','[180000]',NULL,150000,180000,1,NULL,NULL,11,2,'2 IN L','15-18','2026-11-19 09:16:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]',NULL,'drag',150000,150000,0,NULL,NULL,12,2,'2 IN R','15','2026-11-19 09:19:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]',NULL,'drag',150000,150000,0,NULL,NULL,13,3,'1 IN L','15','2026-11-20 09:13:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[130000]','[150000]',NULL,130000,150000,1,NULL,NULL,14,3,'1 IN R','13-15','2026-11-20 09:16:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[230000]',NULL,'drag',230000,230000,0,NULL,NULL,15,3,'1 EX L','23','2026-11-20 09:19:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[180000]','[200000]',NULL,180000,200000,1,NULL,NULL,16,3,'1 EX R','18-20','2026-11-20 09:22:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[130000]',NULL,'drag',130000,130000,0,NULL,NULL,17,3,'2 IN L','13','2026-11-20 09:25:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[80000]','[100000]',NULL,80000,100000,1,NULL,NULL,18,3,'2 IN R','8-10','2026-11-20 09:28:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[250000]',NULL,'drag',250000,250000,0,NULL,NULL,19,3,'2 EX L','25','2026-11-20 09:31:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm',NULL,'[30000]',NULL,NULL,30000,1,NULL,NULL,20,3,'2 EX R','x','2026-11-20 09:34:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[230000]',NULL,'drag',230000,230000,0,NULL,NULL,21,3,'3 IN L','23','2026-11-20 09:37:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]',NULL,'drag',150000,150000,0,NULL,NULL,22,3,'3 IN R','15','2026-11-20 09:40:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[230000]','[250000]',NULL,230000,250000,1,NULL,NULL,23,3,'3 EX L','23-25','2026-11-20 09:43:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[280000]',NULL,'drag',280000,280000,0,NULL,NULL,24,3,'3 EX R','28','2026-11-20 09:46:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[120000]',NULL,'drag',120000,120000,0,NULL,NULL,25,4,'1 IN L','12','2026-11-22 09:13:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[70000]',NULL,'drag',70000,70000,0,NULL,NULL,26,4,'1 IN R','7','2026-11-22 09:16:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[250000]',NULL,'drag',250000,250000,0,NULL,NULL,27,4,'1 EX L','25','2026-11-22 09:19:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]','[180000]',NULL,150000,180000,1,NULL,NULL,28,4,'1 EX R','15-18','2026-11-22 09:22:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[130000]',NULL,'drag',130000,130000,0,NULL,NULL,29,4,'2 IN L','13','2026-11-22 09:25:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[80000]',NULL,'drag',80000,80000,0,NULL,NULL,30,4,'2 IN R','8','2026-11-22 09:28:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[200000]',NULL,'drag',200000,200000,0,NULL,NULL,31,4,'2 EX L','20','2026-11-22 09:31:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[230000]','[250000]',NULL,230000,250000,1,NULL,NULL,32,4,'2 EX R','23-25','2026-11-22 09:34:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[180000]','[200000]',NULL,180000,200000,1,NULL,NULL,33,4,'1 IN R','18-20','2026-11-22 10:16:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[230000]','[250000]',NULL,230000,250000,1,NULL,NULL,34,4,'1 EX R','23-25','2026-11-22 10:19:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[80000]',NULL,'drag',80000,80000,0,NULL,NULL,35,4,'2 IN R','8','2026-11-22 10:22:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[230000]','[250000]',NULL,230000,250000,1,NULL,NULL,36,4,'2 EX L','23-25','2026-11-22 10:25:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[120000]',NULL,'drag',120000,120000,0,NULL,NULL,37,4,'1 IN L','12','2026-11-22 10:28:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[250000]',NULL,'drag',250000,250000,0,NULL,NULL,38,4,'1 EX L','25','2026-11-22 10:31:00.000000',NULL,0,'[]',0,0,'',1);
CREATE TABLE instrument (
	id INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	doubt_nm INTEGER NOT NULL, 
	CONSTRAINT pk_instrument PRIMARY KEY (id), 
	CONSTRAINT uq_instrument_name UNIQUE (name)
);
INSERT INTO "instrument" VALUES(1,'Bench micrometer',4000);
INSERT INTO "instrument" VALUES(2,'Calliper',20000);
CREATE TABLE noted_check (
	id INTEGER NOT NULL, 
	engine_id INTEGER NOT NULL, 
	"on" DATE NOT NULL, 
	at VARCHAR, 
	new_life BOOLEAN NOT NULL, 
	valves JSON NOT NULL, 
	source VARCHAR NOT NULL, 
	noted_by VARCHAR NOT NULL, 
	noted_at DATETIME NOT NULL, 
	taken_back_at DATETIME, 
	CONSTRAINT pk_noted_check PRIMARY KEY (id), 
	CONSTRAINT fk_noted_check_engine_id_engine FOREIGN KEY(engine_id) REFERENCES engine (id)
);
INSERT INTO "noted_check" VALUES(1,2,'2023-04-22','1210',0,'{"IN L": {"found": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN C": {"found": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN R": {"found": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX L": {"found": {"low_nm": 190000, "high_nm": 190000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX R": {"found": {"low_nm": 230000, "high_nm": 230000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Ivo Tarrask','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(2,2,'2023-10-14','2300',0,'{"IN L": {"found": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN C": {"found": {"low_nm": 90000, "high_nm": 90000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 2000000, "half_width_nm": 4000}, "left": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 1950000, "half_width_nm": 4000}, "changed": true}, "IN R": {"found": {"low_nm": 130000, "high_nm": 130000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX L": {"found": {"low_nm": 180000, "high_nm": 180000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX R": {"found": {"low_nm": 220000, "high_nm": 220000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Ivo Tarrask','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(3,2,'2024-04-20','3420',0,'{"IN L": {"found": {"low_nm": 130000, "high_nm": 130000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN C": {"found": {"low_nm": 100000, "high_nm": 100000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN R": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX L": {"found": {"low_nm": 170000, "high_nm": 170000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX R": {"found": {"low_nm": 210000, "high_nm": 210000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Ivo Tarrask','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(4,2,'2024-10-12','4650',0,'{"IN L": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN C": {"found": {"low_nm": 40000, "high_nm": 40000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 1950000, "half_width_nm": 4000}, "left": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 1850000, "half_width_nm": 4000}, "changed": true}, "IN R": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX L": {"found": {"low_nm": 170000, "high_nm": 170000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX R": {"found": {"low_nm": 210000, "high_nm": 210000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Ivo Tarrask','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(5,2,'2025-04-19','5380',0,'{"IN L": {"found": {"low_nm": 130000, "high_nm": 130000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN C": {"found": {"low_nm": 110000, "high_nm": 110000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "IN R": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX L": {"found": {"low_nm": 150000, "high_nm": 150000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "EX R": {"found": {"low_nm": 200000, "high_nm": 200000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Ivo Tarrask','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(6,1,'2022-05-14','3100',0,'{"1 IN L": {"found": {"low_nm": 180000, "high_nm": 180000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 IN R": {"found": {"low_nm": 170000, "high_nm": 170000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX L": {"found": {"low_nm": 270000, "high_nm": 270000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX R": {"found": {"low_nm": 260000, "high_nm": 260000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN L": {"found": {"low_nm": 170000, "high_nm": 170000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN R": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX L": {"found": {"low_nm": 310000, "high_nm": 310000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX R": {"found": {"low_nm": 250000, "high_nm": 250000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 IN L": {"found": {"low_nm": 180000, "high_nm": 180000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 IN R": {"found": {"low_nm": 180000, "high_nm": 180000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX L": {"found": {"low_nm": 300000, "high_nm": 300000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX R": {"found": {"low_nm": 330000, "high_nm": 330000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Sanna Veldrig','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(7,1,'2023-05-20','7050',0,'{"1 IN L": {"found": {"low_nm": 180000, "high_nm": 180000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 IN R": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX L": {"found": {"low_nm": 260000, "high_nm": 260000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX R": {"found": {"low_nm": 240000, "high_nm": 240000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN L": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN R": {"found": {"low_nm": 100000, "high_nm": 100000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 2500000, "half_width_nm": 4000}, "left": {"low_nm": 130000, "high_nm": 130000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 2475000, "half_width_nm": 4000}, "changed": true}, "2 EX L": {"found": {"low_nm": 290000, "high_nm": 290000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX R": {"found": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 2925000, "half_width_nm": 4000}, "left": {"low_nm": 260000, "high_nm": 260000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 2800000, "half_width_nm": 4000}, "changed": true}, "3 IN L": {"found": {"low_nm": 190000, "high_nm": 190000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 IN R": {"found": {"low_nm": 170000, "high_nm": 170000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX L": {"found": {"low_nm": 290000, "high_nm": 290000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX R": {"found": {"low_nm": 320000, "high_nm": 320000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Sanna Veldrig','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(8,1,'2024-05-11','11020',0,'{"1 IN L": {"found": {"low_nm": 170000, "high_nm": 170000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 IN R": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX L": {"found": {"low_nm": 250000, "high_nm": 250000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX R": {"found": {"low_nm": 220000, "high_nm": 220000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 2575000, "half_width_nm": 4000}, "left": {"low_nm": 250000, "high_nm": 250000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 2550000, "half_width_nm": 4000}, "changed": true}, "2 IN L": {"found": {"low_nm": 150000, "high_nm": 150000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN R": {"found": {"low_nm": 120000, "high_nm": 120000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX L": {"found": {"low_nm": 280000, "high_nm": 280000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX R": {"found": {"low_nm": 150000, "high_nm": 150000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 2800000, "half_width_nm": 4000}, "left": {"low_nm": 270000, "high_nm": 270000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 2675000, "half_width_nm": 4000}, "changed": true}, "3 IN L": {"found": {"low_nm": 190000, "high_nm": 190000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 IN R": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX L": {"found": {"low_nm": 270000, "high_nm": 270000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX R": {"found": {"low_nm": 310000, "high_nm": 310000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Sanna Veldrig','2025-09-23 09:30:00.000000',NULL);
INSERT INTO "noted_check" VALUES(9,1,'2025-05-17','14900',0,'{"1 IN L": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 IN R": {"found": {"low_nm": 150000, "high_nm": 150000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX L": {"found": {"low_nm": 240000, "high_nm": 240000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "1 EX R": {"found": {"low_nm": 230000, "high_nm": 230000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN L": {"found": {"low_nm": 140000, "high_nm": 140000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 IN R": {"found": {"low_nm": 110000, "high_nm": 110000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX L": {"found": {"low_nm": 260000, "high_nm": 260000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "2 EX R": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": {"thickness_nm": 2675000, "half_width_nm": 4000}, "left": {"low_nm": 230000, "high_nm": 230000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "new": {"thickness_nm": 2600000, "half_width_nm": 4000}, "changed": true}, "3 IN L": {"found": {"low_nm": 200000, "high_nm": 200000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 IN R": {"found": {"low_nm": 160000, "high_nm": 160000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX L": {"found": {"low_nm": 260000, "high_nm": 260000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}, "3 EX R": {"found": {"low_nm": 290000, "high_nm": 290000, "open_above": false, "called_nm": null, "joints": 0, "thinnest": true, "endless": false, "guess": false}, "piece": null, "left": null, "new": null, "changed": false}}','notebook','Sanna Veldrig','2025-09-23 09:30:00.000000',NULL);
CREATE TABLE part_order (
	id INTEGER NOT NULL, 
	card_id INTEGER, 
	number VARCHAR NOT NULL, 
	"key" VARCHAR NOT NULL, 
	ordered_at DATETIME NOT NULL, 
	CONSTRAINT pk_part_order PRIMARY KEY (id), 
	CONSTRAINT fk_part_order_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT uq_part_order_key UNIQUE ("key")
);
CREATE TABLE part_order_line (
	id INTEGER NOT NULL, 
	order_id INTEGER NOT NULL, 
	family_id INTEGER NOT NULL, 
	thickness_nm INTEGER NOT NULL, 
	count INTEGER NOT NULL, 
	price VARCHAR, 
	days INTEGER NOT NULL, 
	state VARCHAR NOT NULL, 
	says VARCHAR NOT NULL, 
	CONSTRAINT pk_part_order_line PRIMARY KEY (id), 
	CONSTRAINT ck_part_order_line_state CHECK (state IN ('ready', 'back-ordered', 'refused', 'received')), 
	CONSTRAINT fk_part_order_line_family_id_shim_family FOREIGN KEY(family_id) REFERENCES shim_family (id), 
	CONSTRAINT fk_part_order_line_order_id_part_order FOREIGN KEY(order_id) REFERENCES part_order (id)
);
CREATE TABLE person (
	id INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	role VARCHAR(10) NOT NULL, 
	code VARCHAR, 
	made_at DATETIME NOT NULL, 
	left_at DATETIME, 
	CONSTRAINT pk_person PRIMARY KEY (id), 
	CONSTRAINT uq_person_name UNIQUE (name)
);
CREATE TABLE "piece_reading" (
	marked VARCHAR, 
	marked_nm INTEGER, 
	measured_nm INTEGER, 
	supersedes_id INTEGER, 
	id INTEGER NOT NULL, 
	round_id INTEGER NOT NULL, 
	valve VARCHAR NOT NULL, 
	typed VARCHAR NOT NULL, 
	recorded_at DATETIME NOT NULL, 
	superseded_at DATETIME, 
	readings JSON DEFAULT '[]' NOT NULL, 
	condition VARCHAR DEFAULT 'sound' NOT NULL, 
	doubt_nm INTEGER, 
	zero_nm INTEGER DEFAULT 0 NOT NULL, 
	answered VARCHAR, 
	CONSTRAINT pk_piece_reading PRIMARY KEY (id), 
	CONSTRAINT fk_piece_reading_round_id_round FOREIGN KEY(round_id) REFERENCES round (id), 
	CONSTRAINT fk_piece_reading_supersedes_id_piece_reading FOREIGN KEY(supersedes_id) REFERENCES piece_reading (id)
);
INSERT INTO "piece_reading" VALUES('185',1850000,1848000,NULL,1,1,'IN C','185 1.848','2025-10-18 10:21:00.000000',NULL,'[1848000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('170',1700000,NULL,NULL,2,1,'EX L','170','2025-10-18 10:24:00.000000',NULL,'[]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('255',2550000,2548000,NULL,3,3,'1 EX R','255 2.548','2026-11-20 09:49:00.000000',NULL,'[2548000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('2475',2475000,2472000,NULL,4,3,'2 IN R','2475 2.472','2026-11-20 09:52:00.000000',NULL,'[2472000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('260',2600000,2596500,NULL,5,3,'2 EX R','260 2.596 2.597','2026-11-20 09:55:00.000000',NULL,'[2596000, 2597000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('240',2400000,2371000,NULL,6,3,'3 IN L','240 2.371','2026-11-20 09:58:00.000000',NULL,'[2371000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('245',2450000,2448000,NULL,7,3,'1 IN L','245 2.448','2026-11-20 10:01:00.000000',NULL,'[2448000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('2425',2425000,2423000,NULL,8,3,'2 IN L','2425 2.423','2026-11-20 10:04:00.000000',NULL,'[2423000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('??',NULL,2448000,NULL,9,3,'3 IN R','?? 2.448','2026-11-20 10:07:00.000000',NULL,'[2448000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('255',2550000,2549000,NULL,10,3,'1 EX L','255 2.549','2026-11-20 10:10:00.000000',NULL,'[2549000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('2525',2525000,2522000,NULL,11,3,'2 EX L','2525 2.522','2026-11-20 10:13:00.000000',NULL,'[2522000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('250',2500000,2501000,NULL,12,3,'3 EX R','250 2.501','2026-11-20 10:16:00.000000',NULL,'[2501000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('260',2600000,2602000,NULL,13,4,'1 IN R','260 2.602','2026-11-22 09:37:00.000000',NULL,'[2602000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('264',2640000,2641000,NULL,14,4,'1 EX R','264 2.641','2026-11-22 09:40:00.000000',NULL,'[2641000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('252',2520000,2520000,NULL,15,4,'2 IN R','252 2.520','2026-11-22 09:43:00.000000',NULL,'[2520000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('256',2560000,2561000,NULL,16,4,'2 EX L','256 2.561','2026-11-22 09:46:00.000000',NULL,'[2561000]','sound',4000,0,NULL);
CREATE TABLE "round" (
	id INTEGER NOT NULL, 
	card_id INTEGER NOT NULL, 
	number INTEGER NOT NULL, 
	opened_at DATETIME, 
	reason VARCHAR DEFAULT '' NOT NULL, 
	hand_turns INTEGER DEFAULT 0 NOT NULL, 
	CONSTRAINT pk_round PRIMARY KEY (id), 
	CONSTRAINT uq_round_card_id UNIQUE (card_id, number), 
	CONSTRAINT fk_round_card_id_card FOREIGN KEY(card_id) REFERENCES card (id)
);
INSERT INTO "round" VALUES(1,1,1,'2025-10-18 09:30:00.000000','',2);
INSERT INTO "round" VALUES(2,2,1,'2026-11-19 08:40:00.000000','',0);
INSERT INTO "round" VALUES(3,3,1,'2026-11-20 08:40:00.000000','',0);
INSERT INTO "round" VALUES(4,4,1,'2026-11-22 08:40:00.000000','',2);
CREATE TABLE seal (
	id INTEGER NOT NULL, 
	card_id INTEGER NOT NULL, 
	fingerprint VARCHAR NOT NULL, 
	head VARCHAR NOT NULL, 
	sealed_at DATETIME NOT NULL, 
	public VARCHAR NOT NULL, 
	signature VARCHAR NOT NULL, 
	CONSTRAINT pk_seal PRIMARY KEY (id), 
	CONSTRAINT fk_seal_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT uq_seal_card_id UNIQUE (card_id)
);
INSERT INTO "seal" VALUES(1,1,'7f399db87571ed3d8962fc803150c54e5950214880394bed86c9a6563e29a82c','83a59133d94d1caec1b009106312e3183cfc753e6ca52b54aed72aa55f09d242','2025-10-18 11:39:00.000000','5NFzzeLLGEdawmuX68tiItejkItEdjeEMo0SCCQm8QM','42gEeyPlzAPEUm-ndjl2yqZHI0Q9m-cDwFPw6bPabL9bcHMPGr5FYdyrayQ2dN-lMqkkfst39_B-0jR9wzVICQ');
CREATE TABLE shim (
	id INTEGER NOT NULL, 
	family_id INTEGER NOT NULL, 
	marked VARCHAR, 
	marked_nm INTEGER, 
	measured_nm INTEGER, 
	thickness_nm INTEGER NOT NULL, 
	condition VARCHAR NOT NULL, 
	place VARCHAR NOT NULL, 
	engine_id INTEGER, 
	valve VARCHAR, 
	card_id INTEGER, 
	order_line_id INTEGER, 
	CONSTRAINT pk_shim PRIMARY KEY (id), 
	CONSTRAINT ck_shim_at_card CHECK ((place = 'card') = (card_id IS NOT NULL)), 
	CONSTRAINT ck_shim_in_engine CHECK ((place = 'engine') = (engine_id IS NOT NULL AND valve IS NOT NULL)), 
	CONSTRAINT ck_shim_on_order CHECK ((place = 'order') = (order_line_id IS NOT NULL)), 
	CONSTRAINT ck_shim_condition CHECK (condition IN ('sound', 'worn', 'scrap')), 
	CONSTRAINT ck_shim_place CHECK (place IN ('drawer', 'engine', 'card', 'order', 'gone')), 
	CONSTRAINT fk_shim_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT fk_shim_engine_id_engine FOREIGN KEY(engine_id) REFERENCES engine (id), 
	CONSTRAINT fk_shim_family_id_shim_family FOREIGN KEY(family_id) REFERENCES shim_family (id), 
	CONSTRAINT fk_shim_order_line_id_part_order_line FOREIGN KEY(order_line_id) REFERENCES part_order_line (id)
);
INSERT INTO "shim" VALUES(1,2,'170',1700000,NULL,1700000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(2,2,'170',1700000,NULL,1700000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(3,2,'175',1750000,NULL,1750000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(4,2,'180',1800000,NULL,1800000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(5,2,'185',1850000,NULL,1850000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(6,2,'185',1850000,NULL,1850000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(7,2,'185',1850000,NULL,1850000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(8,2,'190',1900000,NULL,1900000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(9,2,'190',1900000,NULL,1900000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(10,2,'200',2000000,NULL,2000000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(11,1,'230',2300000,NULL,2300000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(12,1,'235',2350000,2348000,2348000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(13,1,'2475',2475000,2474000,2474000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(14,1,'2475',2475000,NULL,2475000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(15,1,'250',2500000,NULL,2500000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(16,1,'250',2500000,NULL,2500000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(17,1,'250',2500000,NULL,2500000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(18,1,'2525',2525000,NULL,2525000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(19,1,'255',2550000,NULL,2550000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(20,1,'255',2550000,NULL,2550000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(21,1,'2575',2575000,NULL,2575000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(22,1,'260',2600000,NULL,2600000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(23,1,'260',2600000,NULL,2600000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(24,1,'265',2650000,NULL,2650000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(25,1,'2675',2675000,2673000,2673000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(26,1,'270',2700000,NULL,2700000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(27,1,'270',2700000,NULL,2700000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(28,2,'185',1850000,1848000,1848000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(29,2,'170',1700000,NULL,1700000,'sound','drawer',NULL,NULL,NULL,NULL);
INSERT INTO "shim" VALUES(30,2,NULL,1800000,NULL,1800000,'sound','engine',2,'IN C',NULL,NULL);
INSERT INTO "shim" VALUES(31,2,NULL,1650000,NULL,1650000,'sound','engine',2,'EX L',NULL,NULL);
INSERT INTO "shim" VALUES(32,1,'255',2550000,2548000,2548000,'sound','engine',1,'1 EX R',NULL,NULL);
INSERT INTO "shim" VALUES(33,1,'2475',2475000,2472000,2472000,'sound','engine',1,'2 IN R',NULL,NULL);
INSERT INTO "shim" VALUES(34,1,'260',2600000,2596500,2596500,'sound','engine',1,'2 EX R',NULL,NULL);
INSERT INTO "shim" VALUES(35,1,'240',2400000,2371000,2371000,'sound','engine',1,'3 IN L',NULL,NULL);
INSERT INTO "shim" VALUES(36,1,'245',2450000,2448000,2448000,'sound','engine',1,'1 IN L',NULL,NULL);
INSERT INTO "shim" VALUES(37,1,'2425',2425000,2423000,2423000,'sound','engine',1,'2 IN L',NULL,NULL);
INSERT INTO "shim" VALUES(38,1,'??',NULL,2448000,2448000,'sound','engine',1,'3 IN R',NULL,NULL);
INSERT INTO "shim" VALUES(39,1,'255',2550000,2549000,2549000,'sound','engine',1,'1 EX L',NULL,NULL);
INSERT INTO "shim" VALUES(40,1,'2525',2525000,2522000,2522000,'sound','engine',1,'2 EX L',NULL,NULL);
INSERT INTO "shim" VALUES(41,1,'250',2500000,2501000,2501000,'sound','engine',1,'3 EX R',NULL,NULL);
INSERT INTO "shim" VALUES(42,1,'260',2600000,2602000,2602000,'sound','engine',4,'1 IN R',NULL,NULL);
INSERT INTO "shim" VALUES(43,1,'264',2640000,2641000,2641000,'sound','engine',4,'1 EX R',NULL,NULL);
INSERT INTO "shim" VALUES(44,1,'252',2520000,2520000,2520000,'sound','engine',4,'2 IN R',NULL,NULL);
INSERT INTO "shim" VALUES(45,1,'256',2560000,2561000,2561000,'sound','engine',4,'2 EX L',NULL,NULL);
CREATE TABLE shim_family (
	id INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	diameter_nm INTEGER, 
	runs JSON NOT NULL, 
	code VARCHAR DEFAULT 'auto' NOT NULL, 
	price VARCHAR, 
	kit_price VARCHAR, 
	kit_each INTEGER DEFAULT 3 NOT NULL, 
	supplier VARCHAR DEFAULT '' NOT NULL, 
	low_stock INTEGER DEFAULT 0 NOT NULL, 
	version INTEGER DEFAULT 1 NOT NULL, swap_price VARCHAR, to_order JSON DEFAULT '[]' NOT NULL, wait_days INTEGER, 
	CONSTRAINT pk_shim_family PRIMARY KEY (id), 
	CONSTRAINT uq_shim_family_diameter_nm UNIQUE (diameter_nm), 
	CONSTRAINT uq_shim_family_name UNIQUE (name)
);
INSERT INTO "shim_family" VALUES(1,'8.90 mm',8900000,'[[1200000, 3000000, 25000]]','auto','8.20','74',3,'Harbour Street counter',1,2,NULL,'[]',NULL);
INSERT INTO "shim_family" VALUES(2,'7.48 mm',7480000,'[[1200000, 2400000, 50000]]','auto','7.40','68',3,'Harbour Street counter',0,2,NULL,'[]',NULL);
INSERT INTO "shim_family" VALUES(3,'9.20 mm',9200000,'[[1200000, 3500000, 50000]]','auto','8.90',NULL,3,'Harbour Street counter',0,2,NULL,'[]',NULL);
INSERT INTO "shim_family" VALUES(4,'29.50 mm',29500000,'[[2000000, 3300000, 50000]]','auto','8.90',NULL,3,'Harbour Street counter',0,2,NULL,'[]',NULL);
INSERT INTO "shim_family" VALUES(5,'7.00 mm',7000000,'[[1800000, 4500000, 50000]]','auto','8.90',NULL,3,'Harbour Street counter',0,2,NULL,'[]',NULL);
INSERT INTO "shim_family" VALUES(6,'12.00 mm',12000000,'[[5000000, 9600000, 50000]]','auto','8.90',NULL,3,'Harbour Street counter',0,2,NULL,'[]',NULL);
CREATE TABLE "shim_move" (
	id INTEGER NOT NULL, 
	shim_id INTEGER NOT NULL, 
	"left" JSON, 
	reached JSON NOT NULL, 
	why VARCHAR NOT NULL, 
	moved_at DATETIME NOT NULL, 
	CONSTRAINT pk_shim_move PRIMARY KEY (id), 
	CONSTRAINT fk_shim_move_shim_id_shim FOREIGN KEY(shim_id) REFERENCES shim (id)
);
INSERT INTO "shim_move" VALUES(1,1,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(2,2,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(3,3,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(4,4,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(5,5,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(6,6,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(7,7,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(8,8,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(9,9,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(10,10,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(11,11,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(12,12,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(13,13,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(14,14,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(15,15,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(16,16,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(17,17,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(18,18,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(19,19,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(20,20,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(21,21,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(22,22,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(23,23,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(24,24,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(25,25,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(26,26,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(27,27,NULL,'{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','put into the drawer','2025-09-28 09:30:00.000000');
INSERT INTO "shim_move" VALUES(28,28,NULL,'{"where": "engine", "engine_id": 2, "valve": "IN C", "card_id": null, "order_line_id": null}','read on card 1','2025-10-18 10:21:00.000000');
INSERT INTO "shim_move" VALUES(29,29,NULL,'{"where": "engine", "engine_id": 2, "valve": "EX L", "card_id": null, "order_line_id": null}','read on card 1','2025-10-18 10:24:00.000000');
INSERT INTO "shim_move" VALUES(30,28,'{"where": "engine", "engine_id": 2, "valve": "IN C", "card_id": null, "order_line_id": null}','{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','out of IN C, card 1','2025-10-18 11:39:00.000000');
INSERT INTO "shim_move" VALUES(31,29,'{"where": "engine", "engine_id": 2, "valve": "EX L", "card_id": null, "order_line_id": null}','{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','out of EX L, card 1','2025-10-18 11:39:00.000000');
INSERT INTO "shim_move" VALUES(32,30,NULL,'{"where": "engine", "engine_id": 2, "valve": "IN C", "card_id": null, "order_line_id": null}','fitted, card 1','2025-10-18 11:39:00.000000');
INSERT INTO "shim_move" VALUES(33,31,NULL,'{"where": "engine", "engine_id": 2, "valve": "EX L", "card_id": null, "order_line_id": null}','fitted, card 1','2025-10-18 11:39:00.000000');
INSERT INTO "shim_move" VALUES(34,29,'{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','left over, card 1','2025-10-18 11:39:00.000000');
INSERT INTO "shim_move" VALUES(35,28,'{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','left over, card 1','2025-10-18 11:39:00.000000');
INSERT INTO "shim_move" VALUES(36,32,NULL,'{"where": "engine", "engine_id": 1, "valve": "1 EX R", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 09:49:00.000000');
INSERT INTO "shim_move" VALUES(37,33,NULL,'{"where": "engine", "engine_id": 1, "valve": "2 IN R", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 09:52:00.000000');
INSERT INTO "shim_move" VALUES(38,34,NULL,'{"where": "engine", "engine_id": 1, "valve": "2 EX R", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 09:55:00.000000');
INSERT INTO "shim_move" VALUES(39,35,NULL,'{"where": "engine", "engine_id": 1, "valve": "3 IN L", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 09:58:00.000000');
INSERT INTO "shim_move" VALUES(40,36,NULL,'{"where": "engine", "engine_id": 1, "valve": "1 IN L", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 10:01:00.000000');
INSERT INTO "shim_move" VALUES(41,37,NULL,'{"where": "engine", "engine_id": 1, "valve": "2 IN L", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 10:04:00.000000');
INSERT INTO "shim_move" VALUES(42,38,NULL,'{"where": "engine", "engine_id": 1, "valve": "3 IN R", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 10:07:00.000000');
INSERT INTO "shim_move" VALUES(43,39,NULL,'{"where": "engine", "engine_id": 1, "valve": "1 EX L", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 10:10:00.000000');
INSERT INTO "shim_move" VALUES(44,40,NULL,'{"where": "engine", "engine_id": 1, "valve": "2 EX L", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 10:13:00.000000');
INSERT INTO "shim_move" VALUES(45,41,NULL,'{"where": "engine", "engine_id": 1, "valve": "3 EX R", "card_id": null, "order_line_id": null}','read on card 3','2026-11-20 10:16:00.000000');
INSERT INTO "shim_move" VALUES(46,42,NULL,'{"where": "engine", "engine_id": 4, "valve": "1 IN R", "card_id": null, "order_line_id": null}','read on card 4','2026-11-22 09:37:00.000000');
INSERT INTO "shim_move" VALUES(47,43,NULL,'{"where": "engine", "engine_id": 4, "valve": "1 EX R", "card_id": null, "order_line_id": null}','read on card 4','2026-11-22 09:40:00.000000');
INSERT INTO "shim_move" VALUES(48,44,NULL,'{"where": "engine", "engine_id": 4, "valve": "2 IN R", "card_id": null, "order_line_id": null}','read on card 4','2026-11-22 09:43:00.000000');
INSERT INTO "shim_move" VALUES(49,45,NULL,'{"where": "engine", "engine_id": 4, "valve": "2 EX L", "card_id": null, "order_line_id": null}','read on card 4','2026-11-22 09:46:00.000000');
CREATE TABLE "shop" (
	id INTEGER NOT NULL, 
	name VARCHAR NOT NULL, 
	thinnest_blade_nm INTEGER NOT NULL, 
	aim VARCHAR NOT NULL, 
	rounding VARCHAR NOT NULL, 
	act VARCHAR NOT NULL, 
	hand_turns INTEGER DEFAULT 2 NOT NULL, 
	wrench VARCHAR DEFAULT 'N·m' NOT NULL, round_cost VARCHAR, sure INTEGER DEFAULT '90' NOT NULL, keep_days INTEGER DEFAULT '7' NOT NULL, keep_weeks INTEGER DEFAULT '4' NOT NULL, keep_months INTEGER DEFAULT '12' NOT NULL, calendar VARCHAR, hand_nm INTEGER, 
	CONSTRAINT pk_shop PRIMARY KEY (id)
);
INSERT INTO "shop" VALUES(1,'Ostrel Hill Climb School',30000,'loose','nearest','out',2,'N·m',NULL,90,7,4,12,NULL,NULL);
CREATE TABLE shop_key (
	id INTEGER NOT NULL, 
	public VARCHAR NOT NULL, 
	name VARCHAR NOT NULL, 
	own BOOLEAN NOT NULL, 
	since DATETIME NOT NULL, 
	CONSTRAINT pk_shop_key PRIMARY KEY (id), 
	CONSTRAINT uq_shop_key_public UNIQUE (public)
);
INSERT INTO "shop_key" VALUES(1,'5NFzzeLLGEdawmuX68tiItejkItEdjeEMo0SCCQm8QM','',1,'2025-10-18 11:39:00.000000');
CREATE TABLE sitting (
	id INTEGER NOT NULL, 
	token VARCHAR NOT NULL, 
	person_id INTEGER NOT NULL, 
	begun_at DATETIME NOT NULL, 
	seen_at DATETIME NOT NULL, 
	CONSTRAINT pk_sitting PRIMARY KEY (id), 
	CONSTRAINT fk_sitting_person_id_person FOREIGN KEY(person_id) REFERENCES person (id), 
	CONSTRAINT uq_sitting_token UNIQUE (token)
);
CREATE TABLE strip_tray (
	id INTEGER NOT NULL, 
	card_id INTEGER NOT NULL, 
	document JSON NOT NULL, 
	recorded_at DATETIME NOT NULL, 
	CONSTRAINT pk_strip_tray PRIMARY KEY (id), 
	CONSTRAINT fk_strip_tray_card_id_card FOREIGN KEY(card_id) REFERENCES card (id)
);
INSERT INTO "strip_tray" VALUES(1,3,'[{"name": "Tank", "note": "Two clips, one bolt", "pockets": [{"x": 0.5, "y": 0.85, "length": "M8x40", "note": "", "count": 1}]}, {"name": "Air box", "note": "", "pockets": []}, {"name": "Coils", "note": "", "pockets": []}, {"name": "Spark plugs", "note": "", "pockets": []}, {"name": "Cover", "note": "", "pockets": [{"x": 0.12, "y": 0.14, "length": "30", "note": "", "count": 1}, {"x": 0.5, "y": 0.14, "length": "30", "note": "", "count": 1}, {"x": 0.88, "y": 0.14, "length": "30", "note": "", "count": 1}, {"x": 0.12, "y": 0.86, "length": "45", "note": "", "count": 1}, {"x": 0.5, "y": 0.86, "length": "30", "note": "", "count": 1}, {"x": 0.88, "y": 0.86, "length": "45", "note": "", "count": 1}]}]','2026-11-20 09:10:00.000000');
INSERT INTO "strip_tray" VALUES(2,4,'[{"name": "Tank", "note": "Two clips, one bolt", "pockets": [{"x": 0.5, "y": 0.85, "length": "M8x40", "note": "", "count": 1}]}, {"name": "Air box", "note": "", "pockets": []}, {"name": "Coils", "note": "", "pockets": []}, {"name": "Spark plugs", "note": "", "pockets": []}, {"name": "Cover", "note": "", "pockets": [{"x": 0.12, "y": 0.14, "length": "30", "note": "", "count": 1}, {"x": 0.5, "y": 0.14, "length": "30", "note": "", "count": 1}, {"x": 0.88, "y": 0.14, "length": "30", "note": "", "count": 1}, {"x": 0.12, "y": 0.86, "length": "45", "note": "", "count": 1}, {"x": 0.5, "y": 0.86, "length": "30", "note": "", "count": 1}, {"x": 0.88, "y": 0.86, "length": "45", "note": "", "count": 1}]}]','2026-11-22 09:10:00.000000');
CREATE INDEX ix_card_event_card_id ON card_event (card_id);
CREATE INDEX ix_strip_tray_card_id ON strip_tray (card_id);
CREATE INDEX ix_part_order_card_id ON part_order (card_id);
CREATE INDEX ix_part_order_line_order_id ON part_order_line (order_id);
CREATE INDEX ix_shim_place ON shim (place, family_id, thickness_nm);
CREATE UNIQUE INDEX uq_shim_engine_place ON shim (engine_id, valve) WHERE place = 'engine';
CREATE UNIQUE INDEX uq_piece_reading_current ON piece_reading (round_id, valve) WHERE superseded_at IS NULL;
CREATE INDEX ix_amendment_card_id ON amendment (card_id);
CREATE UNIQUE INDEX uq_choice_current ON choice (round_id, valve) WHERE superseded_at IS NULL;
CREATE INDEX ix_round_card_id ON round (card_id);
CREATE INDEX ix_shim_move_shim_id ON shim_move (shim_id);
CREATE UNIQUE INDEX uq_gap_reading_current ON gap_reading (round_id, valve, purpose) WHERE superseded_at IS NULL;
CREATE INDEX ix_card_engine_revision_id ON card (engine_revision_id);
CREATE INDEX ix_change_entry_id ON change (entry_id);
CREATE INDEX ix_change_of_row ON change ("of", "row");
CREATE INDEX ix_noted_check_engine_id ON noted_check (engine_id);
CREATE INDEX ix_card_opened_at ON card (opened_at);
CREATE INDEX ix_card_signed_at ON card (signed_at);
CREATE INDEX ix_engine_due_on ON engine (due_on);
CREATE INDEX ix_gap_reading_round_id ON gap_reading (round_id);
CREATE INDEX ix_piece_reading_round_id ON piece_reading (round_id);
CREATE INDEX ix_choice_round_id ON choice (round_id);
CREATE INDEX ix_shim_alike ON shim (place, condition, family_id, marked_nm, measured_nm, thickness_nm);
CREATE TRIGGER "noted_blade_set_insert" AFTER INSERT ON "blade_set" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'blade_set', NEW.id, NULL, json_object('id', NEW."id", 'name', NEW."name", 'stacking', NEW."stacking", 'stacks', NEW."stacks")); END;
CREATE TRIGGER "noted_blade_set_update" AFTER UPDATE ON "blade_set" WHEN OLD."id" IS NOT NEW."id" OR OLD."name" IS NOT NEW."name" OR OLD."stacking" IS NOT NEW."stacking" OR OLD."stacks" IS NOT NEW."stacks" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'blade_set', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, OLD."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'stacking' AS k, OLD."stacking" AS v WHERE OLD."stacking" IS NOT NEW."stacking" UNION ALL SELECT 'stacks' AS k, OLD."stacks" AS v WHERE OLD."stacks" IS NOT NEW."stacks")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, NEW."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'stacking' AS k, NEW."stacking" AS v WHERE OLD."stacking" IS NOT NEW."stacking" UNION ALL SELECT 'stacks' AS k, NEW."stacks" AS v WHERE OLD."stacks" IS NOT NEW."stacks"))); END;
CREATE TRIGGER "noted_blade_set_delete" AFTER DELETE ON "blade_set" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'blade_set', OLD.id, json_object('id', OLD."id", 'name', OLD."name", 'stacking', OLD."stacking", 'stacks', OLD."stacks"), NULL); END;
CREATE TRIGGER "noted_engine_insert" AFTER INSERT ON "engine" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'engine', NEW.id, NULL, json_object('id', NEW."id", 'label', NEW."label", 'note', NEW."note")); END;
CREATE TRIGGER "noted_engine_update" AFTER UPDATE ON "engine" WHEN OLD."id" IS NOT NEW."id" OR OLD."label" IS NOT NEW."label" OR OLD."note" IS NOT NEW."note" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'engine', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'label' AS k, OLD."label" AS v WHERE OLD."label" IS NOT NEW."label" UNION ALL SELECT 'note' AS k, OLD."note" AS v WHERE OLD."note" IS NOT NEW."note")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'label' AS k, NEW."label" AS v WHERE OLD."label" IS NOT NEW."label" UNION ALL SELECT 'note' AS k, NEW."note" AS v WHERE OLD."note" IS NOT NEW."note"))); END;
CREATE TRIGGER "noted_engine_delete" AFTER DELETE ON "engine" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'engine', OLD.id, json_object('id', OLD."id", 'label', OLD."label", 'note', OLD."note"), NULL); END;
CREATE TRIGGER "noted_instrument_insert" AFTER INSERT ON "instrument" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'instrument', NEW.id, NULL, json_object('id', NEW."id", 'name', NEW."name", 'doubt_nm', NEW."doubt_nm")); END;
CREATE TRIGGER "noted_instrument_update" AFTER UPDATE ON "instrument" WHEN OLD."id" IS NOT NEW."id" OR OLD."name" IS NOT NEW."name" OR OLD."doubt_nm" IS NOT NEW."doubt_nm" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'instrument', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, OLD."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'doubt_nm' AS k, OLD."doubt_nm" AS v WHERE OLD."doubt_nm" IS NOT NEW."doubt_nm")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, NEW."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'doubt_nm' AS k, NEW."doubt_nm" AS v WHERE OLD."doubt_nm" IS NOT NEW."doubt_nm"))); END;
CREATE TRIGGER "noted_instrument_delete" AFTER DELETE ON "instrument" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'instrument', OLD.id, json_object('id', OLD."id", 'name', OLD."name", 'doubt_nm', OLD."doubt_nm"), NULL); END;
CREATE TRIGGER "noted_person_insert" AFTER INSERT ON "person" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'person', NEW.id, NULL, json_object('id', NEW."id", 'name', NEW."name", 'role', NEW."role", 'made_at', NEW."made_at", 'left_at', NEW."left_at")); END;
CREATE TRIGGER "noted_person_update" AFTER UPDATE ON "person" WHEN OLD."id" IS NOT NEW."id" OR OLD."name" IS NOT NEW."name" OR OLD."role" IS NOT NEW."role" OR OLD."made_at" IS NOT NEW."made_at" OR OLD."left_at" IS NOT NEW."left_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'person', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, OLD."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'role' AS k, OLD."role" AS v WHERE OLD."role" IS NOT NEW."role" UNION ALL SELECT 'made_at' AS k, OLD."made_at" AS v WHERE OLD."made_at" IS NOT NEW."made_at" UNION ALL SELECT 'left_at' AS k, OLD."left_at" AS v WHERE OLD."left_at" IS NOT NEW."left_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, NEW."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'role' AS k, NEW."role" AS v WHERE OLD."role" IS NOT NEW."role" UNION ALL SELECT 'made_at' AS k, NEW."made_at" AS v WHERE OLD."made_at" IS NOT NEW."made_at" UNION ALL SELECT 'left_at' AS k, NEW."left_at" AS v WHERE OLD."left_at" IS NOT NEW."left_at"))); END;
CREATE TRIGGER "noted_person_delete" AFTER DELETE ON "person" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'person', OLD.id, json_object('id', OLD."id", 'name', OLD."name", 'role', OLD."role", 'made_at', OLD."made_at", 'left_at', OLD."left_at"), NULL); END;
CREATE TRIGGER "noted_shim_family_insert" AFTER INSERT ON "shim_family" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim_family', NEW.id, NULL, json_object('id', NEW."id", 'name', NEW."name", 'diameter_nm', NEW."diameter_nm", 'runs', NEW."runs", 'code', NEW."code", 'price', NEW."price", 'kit_price', NEW."kit_price", 'kit_each', NEW."kit_each", 'supplier', NEW."supplier", 'low_stock', NEW."low_stock", 'swap_price', NEW."swap_price", 'to_order', NEW."to_order", 'wait_days', NEW."wait_days", 'version', NEW."version")); END;
CREATE TRIGGER "noted_shim_family_update" AFTER UPDATE ON "shim_family" WHEN OLD."id" IS NOT NEW."id" OR OLD."name" IS NOT NEW."name" OR OLD."diameter_nm" IS NOT NEW."diameter_nm" OR OLD."runs" IS NOT NEW."runs" OR OLD."code" IS NOT NEW."code" OR OLD."price" IS NOT NEW."price" OR OLD."kit_price" IS NOT NEW."kit_price" OR OLD."kit_each" IS NOT NEW."kit_each" OR OLD."supplier" IS NOT NEW."supplier" OR OLD."low_stock" IS NOT NEW."low_stock" OR OLD."swap_price" IS NOT NEW."swap_price" OR OLD."to_order" IS NOT NEW."to_order" OR OLD."wait_days" IS NOT NEW."wait_days" OR OLD."version" IS NOT NEW."version" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim_family', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, OLD."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'diameter_nm' AS k, OLD."diameter_nm" AS v WHERE OLD."diameter_nm" IS NOT NEW."diameter_nm" UNION ALL SELECT 'runs' AS k, OLD."runs" AS v WHERE OLD."runs" IS NOT NEW."runs" UNION ALL SELECT 'code' AS k, OLD."code" AS v WHERE OLD."code" IS NOT NEW."code" UNION ALL SELECT 'price' AS k, OLD."price" AS v WHERE OLD."price" IS NOT NEW."price" UNION ALL SELECT 'kit_price' AS k, OLD."kit_price" AS v WHERE OLD."kit_price" IS NOT NEW."kit_price" UNION ALL SELECT 'kit_each' AS k, OLD."kit_each" AS v WHERE OLD."kit_each" IS NOT NEW."kit_each" UNION ALL SELECT 'supplier' AS k, OLD."supplier" AS v WHERE OLD."supplier" IS NOT NEW."supplier" UNION ALL SELECT 'low_stock' AS k, OLD."low_stock" AS v WHERE OLD."low_stock" IS NOT NEW."low_stock" UNION ALL SELECT 'swap_price' AS k, OLD."swap_price" AS v WHERE OLD."swap_price" IS NOT NEW."swap_price" UNION ALL SELECT 'to_order' AS k, OLD."to_order" AS v WHERE OLD."to_order" IS NOT NEW."to_order" UNION ALL SELECT 'wait_days' AS k, OLD."wait_days" AS v WHERE OLD."wait_days" IS NOT NEW."wait_days" UNION ALL SELECT 'version' AS k, OLD."version" AS v WHERE OLD."version" IS NOT NEW."version")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, NEW."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'diameter_nm' AS k, NEW."diameter_nm" AS v WHERE OLD."diameter_nm" IS NOT NEW."diameter_nm" UNION ALL SELECT 'runs' AS k, NEW."runs" AS v WHERE OLD."runs" IS NOT NEW."runs" UNION ALL SELECT 'code' AS k, NEW."code" AS v WHERE OLD."code" IS NOT NEW."code" UNION ALL SELECT 'price' AS k, NEW."price" AS v WHERE OLD."price" IS NOT NEW."price" UNION ALL SELECT 'kit_price' AS k, NEW."kit_price" AS v WHERE OLD."kit_price" IS NOT NEW."kit_price" UNION ALL SELECT 'kit_each' AS k, NEW."kit_each" AS v WHERE OLD."kit_each" IS NOT NEW."kit_each" UNION ALL SELECT 'supplier' AS k, NEW."supplier" AS v WHERE OLD."supplier" IS NOT NEW."supplier" UNION ALL SELECT 'low_stock' AS k, NEW."low_stock" AS v WHERE OLD."low_stock" IS NOT NEW."low_stock" UNION ALL SELECT 'swap_price' AS k, NEW."swap_price" AS v WHERE OLD."swap_price" IS NOT NEW."swap_price" UNION ALL SELECT 'to_order' AS k, NEW."to_order" AS v WHERE OLD."to_order" IS NOT NEW."to_order" UNION ALL SELECT 'wait_days' AS k, NEW."wait_days" AS v WHERE OLD."wait_days" IS NOT NEW."wait_days" UNION ALL SELECT 'version' AS k, NEW."version" AS v WHERE OLD."version" IS NOT NEW."version"))); END;
CREATE TRIGGER "noted_shim_family_delete" AFTER DELETE ON "shim_family" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim_family', OLD.id, json_object('id', OLD."id", 'name', OLD."name", 'diameter_nm', OLD."diameter_nm", 'runs', OLD."runs", 'code', OLD."code", 'price', OLD."price", 'kit_price', OLD."kit_price", 'kit_each', OLD."kit_each", 'supplier', OLD."supplier", 'low_stock', OLD."low_stock", 'swap_price', OLD."swap_price", 'to_order', OLD."to_order", 'wait_days', OLD."wait_days", 'version', OLD."version"), NULL); END;
CREATE TRIGGER "noted_shop_insert" AFTER INSERT ON "shop" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shop', NEW.id, NULL, json_object('id', NEW."id", 'name', NEW."name", 'thinnest_blade_nm', NEW."thinnest_blade_nm", 'aim', NEW."aim", 'rounding', NEW."rounding", 'act', NEW."act", 'hand_turns', NEW."hand_turns", 'wrench', NEW."wrench", 'round_cost', NEW."round_cost", 'sure', NEW."sure", 'hand_nm', NEW."hand_nm", 'keep_days', NEW."keep_days", 'keep_weeks', NEW."keep_weeks", 'keep_months', NEW."keep_months")); END;
CREATE TRIGGER "noted_shop_update" AFTER UPDATE ON "shop" WHEN OLD."id" IS NOT NEW."id" OR OLD."name" IS NOT NEW."name" OR OLD."thinnest_blade_nm" IS NOT NEW."thinnest_blade_nm" OR OLD."aim" IS NOT NEW."aim" OR OLD."rounding" IS NOT NEW."rounding" OR OLD."act" IS NOT NEW."act" OR OLD."hand_turns" IS NOT NEW."hand_turns" OR OLD."wrench" IS NOT NEW."wrench" OR OLD."round_cost" IS NOT NEW."round_cost" OR OLD."sure" IS NOT NEW."sure" OR OLD."hand_nm" IS NOT NEW."hand_nm" OR OLD."keep_days" IS NOT NEW."keep_days" OR OLD."keep_weeks" IS NOT NEW."keep_weeks" OR OLD."keep_months" IS NOT NEW."keep_months" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shop', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, OLD."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'thinnest_blade_nm' AS k, OLD."thinnest_blade_nm" AS v WHERE OLD."thinnest_blade_nm" IS NOT NEW."thinnest_blade_nm" UNION ALL SELECT 'aim' AS k, OLD."aim" AS v WHERE OLD."aim" IS NOT NEW."aim" UNION ALL SELECT 'rounding' AS k, OLD."rounding" AS v WHERE OLD."rounding" IS NOT NEW."rounding" UNION ALL SELECT 'act' AS k, OLD."act" AS v WHERE OLD."act" IS NOT NEW."act" UNION ALL SELECT 'hand_turns' AS k, OLD."hand_turns" AS v WHERE OLD."hand_turns" IS NOT NEW."hand_turns" UNION ALL SELECT 'wrench' AS k, OLD."wrench" AS v WHERE OLD."wrench" IS NOT NEW."wrench" UNION ALL SELECT 'round_cost' AS k, OLD."round_cost" AS v WHERE OLD."round_cost" IS NOT NEW."round_cost" UNION ALL SELECT 'sure' AS k, OLD."sure" AS v WHERE OLD."sure" IS NOT NEW."sure" UNION ALL SELECT 'hand_nm' AS k, OLD."hand_nm" AS v WHERE OLD."hand_nm" IS NOT NEW."hand_nm" UNION ALL SELECT 'keep_days' AS k, OLD."keep_days" AS v WHERE OLD."keep_days" IS NOT NEW."keep_days" UNION ALL SELECT 'keep_weeks' AS k, OLD."keep_weeks" AS v WHERE OLD."keep_weeks" IS NOT NEW."keep_weeks" UNION ALL SELECT 'keep_months' AS k, OLD."keep_months" AS v WHERE OLD."keep_months" IS NOT NEW."keep_months")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'name' AS k, NEW."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'thinnest_blade_nm' AS k, NEW."thinnest_blade_nm" AS v WHERE OLD."thinnest_blade_nm" IS NOT NEW."thinnest_blade_nm" UNION ALL SELECT 'aim' AS k, NEW."aim" AS v WHERE OLD."aim" IS NOT NEW."aim" UNION ALL SELECT 'rounding' AS k, NEW."rounding" AS v WHERE OLD."rounding" IS NOT NEW."rounding" UNION ALL SELECT 'act' AS k, NEW."act" AS v WHERE OLD."act" IS NOT NEW."act" UNION ALL SELECT 'hand_turns' AS k, NEW."hand_turns" AS v WHERE OLD."hand_turns" IS NOT NEW."hand_turns" UNION ALL SELECT 'wrench' AS k, NEW."wrench" AS v WHERE OLD."wrench" IS NOT NEW."wrench" UNION ALL SELECT 'round_cost' AS k, NEW."round_cost" AS v WHERE OLD."round_cost" IS NOT NEW."round_cost" UNION ALL SELECT 'sure' AS k, NEW."sure" AS v WHERE OLD."sure" IS NOT NEW."sure" UNION ALL SELECT 'hand_nm' AS k, NEW."hand_nm" AS v WHERE OLD."hand_nm" IS NOT NEW."hand_nm" UNION ALL SELECT 'keep_days' AS k, NEW."keep_days" AS v WHERE OLD."keep_days" IS NOT NEW."keep_days" UNION ALL SELECT 'keep_weeks' AS k, NEW."keep_weeks" AS v WHERE OLD."keep_weeks" IS NOT NEW."keep_weeks" UNION ALL SELECT 'keep_months' AS k, NEW."keep_months" AS v WHERE OLD."keep_months" IS NOT NEW."keep_months"))); END;
CREATE TRIGGER "noted_shop_delete" AFTER DELETE ON "shop" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shop', OLD.id, json_object('id', OLD."id", 'name', OLD."name", 'thinnest_blade_nm', OLD."thinnest_blade_nm", 'aim', OLD."aim", 'rounding', OLD."rounding", 'act', OLD."act", 'hand_turns', OLD."hand_turns", 'wrench', OLD."wrench", 'round_cost', OLD."round_cost", 'sure', OLD."sure", 'hand_nm', OLD."hand_nm", 'keep_days', OLD."keep_days", 'keep_weeks', OLD."keep_weeks", 'keep_months', OLD."keep_months"), NULL); END;
CREATE TRIGGER "noted_shop_key_insert" AFTER INSERT ON "shop_key" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shop_key', NEW.id, NULL, json_object('id', NEW."id", 'public', NEW."public", 'name', NEW."name", 'own', NEW."own", 'since', NEW."since")); END;
CREATE TRIGGER "noted_shop_key_update" AFTER UPDATE ON "shop_key" WHEN OLD."id" IS NOT NEW."id" OR OLD."public" IS NOT NEW."public" OR OLD."name" IS NOT NEW."name" OR OLD."own" IS NOT NEW."own" OR OLD."since" IS NOT NEW."since" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shop_key', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'public' AS k, OLD."public" AS v WHERE OLD."public" IS NOT NEW."public" UNION ALL SELECT 'name' AS k, OLD."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'own' AS k, OLD."own" AS v WHERE OLD."own" IS NOT NEW."own" UNION ALL SELECT 'since' AS k, OLD."since" AS v WHERE OLD."since" IS NOT NEW."since")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'public' AS k, NEW."public" AS v WHERE OLD."public" IS NOT NEW."public" UNION ALL SELECT 'name' AS k, NEW."name" AS v WHERE OLD."name" IS NOT NEW."name" UNION ALL SELECT 'own' AS k, NEW."own" AS v WHERE OLD."own" IS NOT NEW."own" UNION ALL SELECT 'since' AS k, NEW."since" AS v WHERE OLD."since" IS NOT NEW."since"))); END;
CREATE TRIGGER "noted_shop_key_delete" AFTER DELETE ON "shop_key" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shop_key', OLD.id, json_object('id', OLD."id", 'public', OLD."public", 'name', OLD."name", 'own', OLD."own", 'since', OLD."since"), NULL); END;
CREATE TRIGGER "noted_blade_insert" AFTER INSERT ON "blade" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'blade', NEW.id, NULL, json_object('id', NEW."id", 'blade_set_id', NEW."blade_set_id", 'nominal_nm', NEW."nominal_nm", 'stamped_nm', NEW."stamped_nm", 'measured_nm', NEW."measured_nm", 'state', NEW."state")); END;
CREATE TRIGGER "noted_blade_update" AFTER UPDATE ON "blade" WHEN OLD."id" IS NOT NEW."id" OR OLD."blade_set_id" IS NOT NEW."blade_set_id" OR OLD."nominal_nm" IS NOT NEW."nominal_nm" OR OLD."stamped_nm" IS NOT NEW."stamped_nm" OR OLD."measured_nm" IS NOT NEW."measured_nm" OR OLD."state" IS NOT NEW."state" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'blade', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'blade_set_id' AS k, OLD."blade_set_id" AS v WHERE OLD."blade_set_id" IS NOT NEW."blade_set_id" UNION ALL SELECT 'nominal_nm' AS k, OLD."nominal_nm" AS v WHERE OLD."nominal_nm" IS NOT NEW."nominal_nm" UNION ALL SELECT 'stamped_nm' AS k, OLD."stamped_nm" AS v WHERE OLD."stamped_nm" IS NOT NEW."stamped_nm" UNION ALL SELECT 'measured_nm' AS k, OLD."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'state' AS k, OLD."state" AS v WHERE OLD."state" IS NOT NEW."state")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'blade_set_id' AS k, NEW."blade_set_id" AS v WHERE OLD."blade_set_id" IS NOT NEW."blade_set_id" UNION ALL SELECT 'nominal_nm' AS k, NEW."nominal_nm" AS v WHERE OLD."nominal_nm" IS NOT NEW."nominal_nm" UNION ALL SELECT 'stamped_nm' AS k, NEW."stamped_nm" AS v WHERE OLD."stamped_nm" IS NOT NEW."stamped_nm" UNION ALL SELECT 'measured_nm' AS k, NEW."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'state' AS k, NEW."state" AS v WHERE OLD."state" IS NOT NEW."state"))); END;
CREATE TRIGGER "noted_blade_delete" AFTER DELETE ON "blade" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'blade', OLD.id, json_object('id', OLD."id", 'blade_set_id', OLD."blade_set_id", 'nominal_nm', OLD."nominal_nm", 'stamped_nm', OLD."stamped_nm", 'measured_nm', OLD."measured_nm", 'state', OLD."state"), NULL); END;
CREATE TRIGGER "noted_engine_revision_insert" AFTER INSERT ON "engine_revision" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'engine_revision', NEW.id, NULL, json_object('id', NEW."id", 'engine_id', NEW."engine_id", 'number', NEW."number", 'document', NEW."document", 'recorded_at', NEW."recorded_at")); END;
CREATE TRIGGER "noted_engine_revision_update" AFTER UPDATE ON "engine_revision" WHEN OLD."id" IS NOT NEW."id" OR OLD."engine_id" IS NOT NEW."engine_id" OR OLD."number" IS NOT NEW."number" OR OLD."document" IS NOT NEW."document" OR OLD."recorded_at" IS NOT NEW."recorded_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'engine_revision', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'engine_id' AS k, OLD."engine_id" AS v WHERE OLD."engine_id" IS NOT NEW."engine_id" UNION ALL SELECT 'number' AS k, OLD."number" AS v WHERE OLD."number" IS NOT NEW."number" UNION ALL SELECT 'document' AS k, OLD."document" AS v WHERE OLD."document" IS NOT NEW."document" UNION ALL SELECT 'recorded_at' AS k, OLD."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'engine_id' AS k, NEW."engine_id" AS v WHERE OLD."engine_id" IS NOT NEW."engine_id" UNION ALL SELECT 'number' AS k, NEW."number" AS v WHERE OLD."number" IS NOT NEW."number" UNION ALL SELECT 'document' AS k, NEW."document" AS v WHERE OLD."document" IS NOT NEW."document" UNION ALL SELECT 'recorded_at' AS k, NEW."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at"))); END;
CREATE TRIGGER "noted_engine_revision_delete" AFTER DELETE ON "engine_revision" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'engine_revision', OLD.id, json_object('id', OLD."id", 'engine_id', OLD."engine_id", 'number', OLD."number", 'document', OLD."document", 'recorded_at', OLD."recorded_at"), NULL); END;
CREATE TRIGGER "noted_noted_check_insert" AFTER INSERT ON "noted_check" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'noted_check', NEW.id, NULL, json_object('id', NEW."id", 'engine_id', NEW."engine_id", 'on', NEW."on", 'at', NEW."at", 'new_life', NEW."new_life", 'valves', NEW."valves", 'source', NEW."source", 'noted_by', NEW."noted_by", 'noted_at', NEW."noted_at", 'taken_back_at', NEW."taken_back_at")); END;
CREATE TRIGGER "noted_noted_check_update" AFTER UPDATE ON "noted_check" WHEN OLD."id" IS NOT NEW."id" OR OLD."engine_id" IS NOT NEW."engine_id" OR OLD."on" IS NOT NEW."on" OR OLD."at" IS NOT NEW."at" OR OLD."new_life" IS NOT NEW."new_life" OR OLD."valves" IS NOT NEW."valves" OR OLD."source" IS NOT NEW."source" OR OLD."noted_by" IS NOT NEW."noted_by" OR OLD."noted_at" IS NOT NEW."noted_at" OR OLD."taken_back_at" IS NOT NEW."taken_back_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'noted_check', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'engine_id' AS k, OLD."engine_id" AS v WHERE OLD."engine_id" IS NOT NEW."engine_id" UNION ALL SELECT 'on' AS k, OLD."on" AS v WHERE OLD."on" IS NOT NEW."on" UNION ALL SELECT 'at' AS k, OLD."at" AS v WHERE OLD."at" IS NOT NEW."at" UNION ALL SELECT 'new_life' AS k, OLD."new_life" AS v WHERE OLD."new_life" IS NOT NEW."new_life" UNION ALL SELECT 'valves' AS k, OLD."valves" AS v WHERE OLD."valves" IS NOT NEW."valves" UNION ALL SELECT 'source' AS k, OLD."source" AS v WHERE OLD."source" IS NOT NEW."source" UNION ALL SELECT 'noted_by' AS k, OLD."noted_by" AS v WHERE OLD."noted_by" IS NOT NEW."noted_by" UNION ALL SELECT 'noted_at' AS k, OLD."noted_at" AS v WHERE OLD."noted_at" IS NOT NEW."noted_at" UNION ALL SELECT 'taken_back_at' AS k, OLD."taken_back_at" AS v WHERE OLD."taken_back_at" IS NOT NEW."taken_back_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'engine_id' AS k, NEW."engine_id" AS v WHERE OLD."engine_id" IS NOT NEW."engine_id" UNION ALL SELECT 'on' AS k, NEW."on" AS v WHERE OLD."on" IS NOT NEW."on" UNION ALL SELECT 'at' AS k, NEW."at" AS v WHERE OLD."at" IS NOT NEW."at" UNION ALL SELECT 'new_life' AS k, NEW."new_life" AS v WHERE OLD."new_life" IS NOT NEW."new_life" UNION ALL SELECT 'valves' AS k, NEW."valves" AS v WHERE OLD."valves" IS NOT NEW."valves" UNION ALL SELECT 'source' AS k, NEW."source" AS v WHERE OLD."source" IS NOT NEW."source" UNION ALL SELECT 'noted_by' AS k, NEW."noted_by" AS v WHERE OLD."noted_by" IS NOT NEW."noted_by" UNION ALL SELECT 'noted_at' AS k, NEW."noted_at" AS v WHERE OLD."noted_at" IS NOT NEW."noted_at" UNION ALL SELECT 'taken_back_at' AS k, NEW."taken_back_at" AS v WHERE OLD."taken_back_at" IS NOT NEW."taken_back_at"))); END;
CREATE TRIGGER "noted_noted_check_delete" AFTER DELETE ON "noted_check" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'noted_check', OLD.id, json_object('id', OLD."id", 'engine_id', OLD."engine_id", 'on', OLD."on", 'at', OLD."at", 'new_life', OLD."new_life", 'valves', OLD."valves", 'source', OLD."source", 'noted_by', OLD."noted_by", 'noted_at', OLD."noted_at", 'taken_back_at', OLD."taken_back_at"), NULL); END;
CREATE TRIGGER "noted_card_insert" AFTER INSERT ON "card" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'card', NEW.id, NULL, json_object('id', NEW."id", 'engine_revision_id', NEW."engine_revision_id", 'version', NEW."version", 'opened_at', NEW."opened_at", 'opened_by', NEW."opened_by", 'reason', NEW."reason", 'distance_km', NEW."distance_km", 'aim', NEW."aim", 'rounding', NEW."rounding", 'act', NEW."act", 'signed_at', NEW."signed_at", 'signed_by', NEW."signed_by", 'hours', NEW."hours", 'put_away_at', NEW."put_away_at", 'kind', NEW."kind", 'only_valve', NEW."only_valve", 'change_nm', NEW."change_nm", 'distance_mi', NEW."distance_mi", 'symptoms', NEW."symptoms", 'checks', NEW."checks", 'notes', NEW."notes", 'bill', NEW."bill", 'rested_hours', NEW."rested_hours", 'temperature_c', NEW."temperature_c", 'warm_reason', NEW."warm_reason", 'method', NEW."method", 'seen_to', NEW."seen_to", 'blade_set_id', NEW."blade_set_id", 'trust', NEW."trust", 'reuse', NEW."reuse", 'variant', NEW."variant", 'tightening', NEW."tightening", 'recalled', NEW."recalled", 'forbidden', NEW."forbidden", 'opened_too', NEW."opened_too", 'instrument_id', NEW."instrument_id", 'zero_nm', NEW."zero_nm", 'as_signed', NEW."as_signed", 'remarks', NEW."remarks", 'next_check_km', NEW."next_check_km", 'next_check_mi', NEW."next_check_mi", 'next_check_hours', NEW."next_check_hours", 'next_check_on', NEW."next_check_on", 'origin', NEW."origin")); END;
CREATE TRIGGER "noted_card_update" AFTER UPDATE ON "card" WHEN OLD."id" IS NOT NEW."id" OR OLD."engine_revision_id" IS NOT NEW."engine_revision_id" OR OLD."version" IS NOT NEW."version" OR OLD."opened_at" IS NOT NEW."opened_at" OR OLD."opened_by" IS NOT NEW."opened_by" OR OLD."reason" IS NOT NEW."reason" OR OLD."distance_km" IS NOT NEW."distance_km" OR OLD."aim" IS NOT NEW."aim" OR OLD."rounding" IS NOT NEW."rounding" OR OLD."act" IS NOT NEW."act" OR OLD."signed_at" IS NOT NEW."signed_at" OR OLD."signed_by" IS NOT NEW."signed_by" OR OLD."hours" IS NOT NEW."hours" OR OLD."put_away_at" IS NOT NEW."put_away_at" OR OLD."kind" IS NOT NEW."kind" OR OLD."only_valve" IS NOT NEW."only_valve" OR OLD."change_nm" IS NOT NEW."change_nm" OR OLD."distance_mi" IS NOT NEW."distance_mi" OR OLD."symptoms" IS NOT NEW."symptoms" OR OLD."checks" IS NOT NEW."checks" OR OLD."notes" IS NOT NEW."notes" OR OLD."bill" IS NOT NEW."bill" OR OLD."rested_hours" IS NOT NEW."rested_hours" OR OLD."temperature_c" IS NOT NEW."temperature_c" OR OLD."warm_reason" IS NOT NEW."warm_reason" OR OLD."method" IS NOT NEW."method" OR OLD."seen_to" IS NOT NEW."seen_to" OR OLD."blade_set_id" IS NOT NEW."blade_set_id" OR OLD."trust" IS NOT NEW."trust" OR OLD."reuse" IS NOT NEW."reuse" OR OLD."variant" IS NOT NEW."variant" OR OLD."tightening" IS NOT NEW."tightening" OR OLD."recalled" IS NOT NEW."recalled" OR OLD."forbidden" IS NOT NEW."forbidden" OR OLD."opened_too" IS NOT NEW."opened_too" OR OLD."instrument_id" IS NOT NEW."instrument_id" OR OLD."zero_nm" IS NOT NEW."zero_nm" OR OLD."as_signed" IS NOT NEW."as_signed" OR OLD."remarks" IS NOT NEW."remarks" OR OLD."next_check_km" IS NOT NEW."next_check_km" OR OLD."next_check_mi" IS NOT NEW."next_check_mi" OR OLD."next_check_hours" IS NOT NEW."next_check_hours" OR OLD."next_check_on" IS NOT NEW."next_check_on" OR OLD."origin" IS NOT NEW."origin" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'card', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'engine_revision_id' AS k, OLD."engine_revision_id" AS v WHERE OLD."engine_revision_id" IS NOT NEW."engine_revision_id" UNION ALL SELECT 'version' AS k, OLD."version" AS v WHERE OLD."version" IS NOT NEW."version" UNION ALL SELECT 'opened_at' AS k, OLD."opened_at" AS v WHERE OLD."opened_at" IS NOT NEW."opened_at" UNION ALL SELECT 'opened_by' AS k, OLD."opened_by" AS v WHERE OLD."opened_by" IS NOT NEW."opened_by" UNION ALL SELECT 'reason' AS k, OLD."reason" AS v WHERE OLD."reason" IS NOT NEW."reason" UNION ALL SELECT 'distance_km' AS k, OLD."distance_km" AS v WHERE OLD."distance_km" IS NOT NEW."distance_km" UNION ALL SELECT 'aim' AS k, OLD."aim" AS v WHERE OLD."aim" IS NOT NEW."aim" UNION ALL SELECT 'rounding' AS k, OLD."rounding" AS v WHERE OLD."rounding" IS NOT NEW."rounding" UNION ALL SELECT 'act' AS k, OLD."act" AS v WHERE OLD."act" IS NOT NEW."act" UNION ALL SELECT 'signed_at' AS k, OLD."signed_at" AS v WHERE OLD."signed_at" IS NOT NEW."signed_at" UNION ALL SELECT 'signed_by' AS k, OLD."signed_by" AS v WHERE OLD."signed_by" IS NOT NEW."signed_by" UNION ALL SELECT 'hours' AS k, OLD."hours" AS v WHERE OLD."hours" IS NOT NEW."hours" UNION ALL SELECT 'put_away_at' AS k, OLD."put_away_at" AS v WHERE OLD."put_away_at" IS NOT NEW."put_away_at" UNION ALL SELECT 'kind' AS k, OLD."kind" AS v WHERE OLD."kind" IS NOT NEW."kind" UNION ALL SELECT 'only_valve' AS k, OLD."only_valve" AS v WHERE OLD."only_valve" IS NOT NEW."only_valve" UNION ALL SELECT 'change_nm' AS k, OLD."change_nm" AS v WHERE OLD."change_nm" IS NOT NEW."change_nm" UNION ALL SELECT 'distance_mi' AS k, OLD."distance_mi" AS v WHERE OLD."distance_mi" IS NOT NEW."distance_mi" UNION ALL SELECT 'symptoms' AS k, OLD."symptoms" AS v WHERE OLD."symptoms" IS NOT NEW."symptoms" UNION ALL SELECT 'checks' AS k, OLD."checks" AS v WHERE OLD."checks" IS NOT NEW."checks" UNION ALL SELECT 'notes' AS k, OLD."notes" AS v WHERE OLD."notes" IS NOT NEW."notes" UNION ALL SELECT 'bill' AS k, OLD."bill" AS v WHERE OLD."bill" IS NOT NEW."bill" UNION ALL SELECT 'rested_hours' AS k, OLD."rested_hours" AS v WHERE OLD."rested_hours" IS NOT NEW."rested_hours" UNION ALL SELECT 'temperature_c' AS k, OLD."temperature_c" AS v WHERE OLD."temperature_c" IS NOT NEW."temperature_c" UNION ALL SELECT 'warm_reason' AS k, OLD."warm_reason" AS v WHERE OLD."warm_reason" IS NOT NEW."warm_reason" UNION ALL SELECT 'method' AS k, OLD."method" AS v WHERE OLD."method" IS NOT NEW."method" UNION ALL SELECT 'seen_to' AS k, OLD."seen_to" AS v WHERE OLD."seen_to" IS NOT NEW."seen_to" UNION ALL SELECT 'blade_set_id' AS k, OLD."blade_set_id" AS v WHERE OLD."blade_set_id" IS NOT NEW."blade_set_id" UNION ALL SELECT 'trust' AS k, OLD."trust" AS v WHERE OLD."trust" IS NOT NEW."trust" UNION ALL SELECT 'reuse' AS k, OLD."reuse" AS v WHERE OLD."reuse" IS NOT NEW."reuse" UNION ALL SELECT 'variant' AS k, OLD."variant" AS v WHERE OLD."variant" IS NOT NEW."variant" UNION ALL SELECT 'tightening' AS k, OLD."tightening" AS v WHERE OLD."tightening" IS NOT NEW."tightening" UNION ALL SELECT 'recalled' AS k, OLD."recalled" AS v WHERE OLD."recalled" IS NOT NEW."recalled" UNION ALL SELECT 'forbidden' AS k, OLD."forbidden" AS v WHERE OLD."forbidden" IS NOT NEW."forbidden" UNION ALL SELECT 'opened_too' AS k, OLD."opened_too" AS v WHERE OLD."opened_too" IS NOT NEW."opened_too" UNION ALL SELECT 'instrument_id' AS k, OLD."instrument_id" AS v WHERE OLD."instrument_id" IS NOT NEW."instrument_id" UNION ALL SELECT 'zero_nm' AS k, OLD."zero_nm" AS v WHERE OLD."zero_nm" IS NOT NEW."zero_nm" UNION ALL SELECT 'as_signed' AS k, OLD."as_signed" AS v WHERE OLD."as_signed" IS NOT NEW."as_signed" UNION ALL SELECT 'remarks' AS k, OLD."remarks" AS v WHERE OLD."remarks" IS NOT NEW."remarks" UNION ALL SELECT 'next_check_km' AS k, OLD."next_check_km" AS v WHERE OLD."next_check_km" IS NOT NEW."next_check_km" UNION ALL SELECT 'next_check_mi' AS k, OLD."next_check_mi" AS v WHERE OLD."next_check_mi" IS NOT NEW."next_check_mi" UNION ALL SELECT 'next_check_hours' AS k, OLD."next_check_hours" AS v WHERE OLD."next_check_hours" IS NOT NEW."next_check_hours" UNION ALL SELECT 'next_check_on' AS k, OLD."next_check_on" AS v WHERE OLD."next_check_on" IS NOT NEW."next_check_on" UNION ALL SELECT 'origin' AS k, OLD."origin" AS v WHERE OLD."origin" IS NOT NEW."origin")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'engine_revision_id' AS k, NEW."engine_revision_id" AS v WHERE OLD."engine_revision_id" IS NOT NEW."engine_revision_id" UNION ALL SELECT 'version' AS k, NEW."version" AS v WHERE OLD."version" IS NOT NEW."version" UNION ALL SELECT 'opened_at' AS k, NEW."opened_at" AS v WHERE OLD."opened_at" IS NOT NEW."opened_at" UNION ALL SELECT 'opened_by' AS k, NEW."opened_by" AS v WHERE OLD."opened_by" IS NOT NEW."opened_by" UNION ALL SELECT 'reason' AS k, NEW."reason" AS v WHERE OLD."reason" IS NOT NEW."reason" UNION ALL SELECT 'distance_km' AS k, NEW."distance_km" AS v WHERE OLD."distance_km" IS NOT NEW."distance_km" UNION ALL SELECT 'aim' AS k, NEW."aim" AS v WHERE OLD."aim" IS NOT NEW."aim" UNION ALL SELECT 'rounding' AS k, NEW."rounding" AS v WHERE OLD."rounding" IS NOT NEW."rounding" UNION ALL SELECT 'act' AS k, NEW."act" AS v WHERE OLD."act" IS NOT NEW."act" UNION ALL SELECT 'signed_at' AS k, NEW."signed_at" AS v WHERE OLD."signed_at" IS NOT NEW."signed_at" UNION ALL SELECT 'signed_by' AS k, NEW."signed_by" AS v WHERE OLD."signed_by" IS NOT NEW."signed_by" UNION ALL SELECT 'hours' AS k, NEW."hours" AS v WHERE OLD."hours" IS NOT NEW."hours" UNION ALL SELECT 'put_away_at' AS k, NEW."put_away_at" AS v WHERE OLD."put_away_at" IS NOT NEW."put_away_at" UNION ALL SELECT 'kind' AS k, NEW."kind" AS v WHERE OLD."kind" IS NOT NEW."kind" UNION ALL SELECT 'only_valve' AS k, NEW."only_valve" AS v WHERE OLD."only_valve" IS NOT NEW."only_valve" UNION ALL SELECT 'change_nm' AS k, NEW."change_nm" AS v WHERE OLD."change_nm" IS NOT NEW."change_nm" UNION ALL SELECT 'distance_mi' AS k, NEW."distance_mi" AS v WHERE OLD."distance_mi" IS NOT NEW."distance_mi" UNION ALL SELECT 'symptoms' AS k, NEW."symptoms" AS v WHERE OLD."symptoms" IS NOT NEW."symptoms" UNION ALL SELECT 'checks' AS k, NEW."checks" AS v WHERE OLD."checks" IS NOT NEW."checks" UNION ALL SELECT 'notes' AS k, NEW."notes" AS v WHERE OLD."notes" IS NOT NEW."notes" UNION ALL SELECT 'bill' AS k, NEW."bill" AS v WHERE OLD."bill" IS NOT NEW."bill" UNION ALL SELECT 'rested_hours' AS k, NEW."rested_hours" AS v WHERE OLD."rested_hours" IS NOT NEW."rested_hours" UNION ALL SELECT 'temperature_c' AS k, NEW."temperature_c" AS v WHERE OLD."temperature_c" IS NOT NEW."temperature_c" UNION ALL SELECT 'warm_reason' AS k, NEW."warm_reason" AS v WHERE OLD."warm_reason" IS NOT NEW."warm_reason" UNION ALL SELECT 'method' AS k, NEW."method" AS v WHERE OLD."method" IS NOT NEW."method" UNION ALL SELECT 'seen_to' AS k, NEW."seen_to" AS v WHERE OLD."seen_to" IS NOT NEW."seen_to" UNION ALL SELECT 'blade_set_id' AS k, NEW."blade_set_id" AS v WHERE OLD."blade_set_id" IS NOT NEW."blade_set_id" UNION ALL SELECT 'trust' AS k, NEW."trust" AS v WHERE OLD."trust" IS NOT NEW."trust" UNION ALL SELECT 'reuse' AS k, NEW."reuse" AS v WHERE OLD."reuse" IS NOT NEW."reuse" UNION ALL SELECT 'variant' AS k, NEW."variant" AS v WHERE OLD."variant" IS NOT NEW."variant" UNION ALL SELECT 'tightening' AS k, NEW."tightening" AS v WHERE OLD."tightening" IS NOT NEW."tightening" UNION ALL SELECT 'recalled' AS k, NEW."recalled" AS v WHERE OLD."recalled" IS NOT NEW."recalled" UNION ALL SELECT 'forbidden' AS k, NEW."forbidden" AS v WHERE OLD."forbidden" IS NOT NEW."forbidden" UNION ALL SELECT 'opened_too' AS k, NEW."opened_too" AS v WHERE OLD."opened_too" IS NOT NEW."opened_too" UNION ALL SELECT 'instrument_id' AS k, NEW."instrument_id" AS v WHERE OLD."instrument_id" IS NOT NEW."instrument_id" UNION ALL SELECT 'zero_nm' AS k, NEW."zero_nm" AS v WHERE OLD."zero_nm" IS NOT NEW."zero_nm" UNION ALL SELECT 'as_signed' AS k, NEW."as_signed" AS v WHERE OLD."as_signed" IS NOT NEW."as_signed" UNION ALL SELECT 'remarks' AS k, NEW."remarks" AS v WHERE OLD."remarks" IS NOT NEW."remarks" UNION ALL SELECT 'next_check_km' AS k, NEW."next_check_km" AS v WHERE OLD."next_check_km" IS NOT NEW."next_check_km" UNION ALL SELECT 'next_check_mi' AS k, NEW."next_check_mi" AS v WHERE OLD."next_check_mi" IS NOT NEW."next_check_mi" UNION ALL SELECT 'next_check_hours' AS k, NEW."next_check_hours" AS v WHERE OLD."next_check_hours" IS NOT NEW."next_check_hours" UNION ALL SELECT 'next_check_on' AS k, NEW."next_check_on" AS v WHERE OLD."next_check_on" IS NOT NEW."next_check_on" UNION ALL SELECT 'origin' AS k, NEW."origin" AS v WHERE OLD."origin" IS NOT NEW."origin"))); END;
CREATE TRIGGER "noted_card_delete" AFTER DELETE ON "card" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'card', OLD.id, json_object('id', OLD."id", 'engine_revision_id', OLD."engine_revision_id", 'version', OLD."version", 'opened_at', OLD."opened_at", 'opened_by', OLD."opened_by", 'reason', OLD."reason", 'distance_km', OLD."distance_km", 'aim', OLD."aim", 'rounding', OLD."rounding", 'act', OLD."act", 'signed_at', OLD."signed_at", 'signed_by', OLD."signed_by", 'hours', OLD."hours", 'put_away_at', OLD."put_away_at", 'kind', OLD."kind", 'only_valve', OLD."only_valve", 'change_nm', OLD."change_nm", 'distance_mi', OLD."distance_mi", 'symptoms', OLD."symptoms", 'checks', OLD."checks", 'notes', OLD."notes", 'bill', OLD."bill", 'rested_hours', OLD."rested_hours", 'temperature_c', OLD."temperature_c", 'warm_reason', OLD."warm_reason", 'method', OLD."method", 'seen_to', OLD."seen_to", 'blade_set_id', OLD."blade_set_id", 'trust', OLD."trust", 'reuse', OLD."reuse", 'variant', OLD."variant", 'tightening', OLD."tightening", 'recalled', OLD."recalled", 'forbidden', OLD."forbidden", 'opened_too', OLD."opened_too", 'instrument_id', OLD."instrument_id", 'zero_nm', OLD."zero_nm", 'as_signed', OLD."as_signed", 'remarks', OLD."remarks", 'next_check_km', OLD."next_check_km", 'next_check_mi', OLD."next_check_mi", 'next_check_hours', OLD."next_check_hours", 'next_check_on', OLD."next_check_on", 'origin', OLD."origin"), NULL); END;
CREATE TRIGGER "noted_amendment_insert" AFTER INSERT ON "amendment" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'amendment', NEW.id, NULL, json_object('id', NEW."id", 'card_id', NEW."card_id", 'key', NEW."key", 'written_by', NEW."written_by", 'text', NEW."text", 'written_at', NEW."written_at")); END;
CREATE TRIGGER "noted_amendment_update" AFTER UPDATE ON "amendment" WHEN OLD."id" IS NOT NEW."id" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."key" IS NOT NEW."key" OR OLD."written_by" IS NOT NEW."written_by" OR OLD."text" IS NOT NEW."text" OR OLD."written_at" IS NOT NEW."written_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'amendment', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'key' AS k, OLD."key" AS v WHERE OLD."key" IS NOT NEW."key" UNION ALL SELECT 'written_by' AS k, OLD."written_by" AS v WHERE OLD."written_by" IS NOT NEW."written_by" UNION ALL SELECT 'text' AS k, OLD."text" AS v WHERE OLD."text" IS NOT NEW."text" UNION ALL SELECT 'written_at' AS k, OLD."written_at" AS v WHERE OLD."written_at" IS NOT NEW."written_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'key' AS k, NEW."key" AS v WHERE OLD."key" IS NOT NEW."key" UNION ALL SELECT 'written_by' AS k, NEW."written_by" AS v WHERE OLD."written_by" IS NOT NEW."written_by" UNION ALL SELECT 'text' AS k, NEW."text" AS v WHERE OLD."text" IS NOT NEW."text" UNION ALL SELECT 'written_at' AS k, NEW."written_at" AS v WHERE OLD."written_at" IS NOT NEW."written_at"))); END;
CREATE TRIGGER "noted_amendment_delete" AFTER DELETE ON "amendment" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'amendment', OLD.id, json_object('id', OLD."id", 'card_id', OLD."card_id", 'key', OLD."key", 'written_by', OLD."written_by", 'text', OLD."text", 'written_at', OLD."written_at"), NULL); END;
CREATE TRIGGER "noted_card_event_insert" AFTER INSERT ON "card_event" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'card_event', NEW.id, NULL, json_object('id', NEW."id", 'card_id', NEW."card_id", 'version', NEW."version", 'key', NEW."key", 'action', NEW."action", 'recorded_at', NEW."recorded_at", 'digest', NEW."digest")); END;
CREATE TRIGGER "noted_card_event_update" AFTER UPDATE ON "card_event" WHEN OLD."id" IS NOT NEW."id" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."version" IS NOT NEW."version" OR OLD."key" IS NOT NEW."key" OR OLD."action" IS NOT NEW."action" OR OLD."recorded_at" IS NOT NEW."recorded_at" OR OLD."digest" IS NOT NEW."digest" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'card_event', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'version' AS k, OLD."version" AS v WHERE OLD."version" IS NOT NEW."version" UNION ALL SELECT 'key' AS k, OLD."key" AS v WHERE OLD."key" IS NOT NEW."key" UNION ALL SELECT 'action' AS k, OLD."action" AS v WHERE OLD."action" IS NOT NEW."action" UNION ALL SELECT 'recorded_at' AS k, OLD."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'digest' AS k, OLD."digest" AS v WHERE OLD."digest" IS NOT NEW."digest")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'version' AS k, NEW."version" AS v WHERE OLD."version" IS NOT NEW."version" UNION ALL SELECT 'key' AS k, NEW."key" AS v WHERE OLD."key" IS NOT NEW."key" UNION ALL SELECT 'action' AS k, NEW."action" AS v WHERE OLD."action" IS NOT NEW."action" UNION ALL SELECT 'recorded_at' AS k, NEW."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'digest' AS k, NEW."digest" AS v WHERE OLD."digest" IS NOT NEW."digest"))); END;
CREATE TRIGGER "noted_card_event_delete" AFTER DELETE ON "card_event" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'card_event', OLD.id, json_object('id', OLD."id", 'card_id', OLD."card_id", 'version', OLD."version", 'key', OLD."key", 'action', OLD."action", 'recorded_at', OLD."recorded_at", 'digest', OLD."digest"), NULL); END;
CREATE TRIGGER "noted_part_order_insert" AFTER INSERT ON "part_order" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'part_order', NEW.id, NULL, json_object('id', NEW."id", 'card_id', NEW."card_id", 'number', NEW."number", 'key', NEW."key", 'ordered_at', NEW."ordered_at")); END;
CREATE TRIGGER "noted_part_order_update" AFTER UPDATE ON "part_order" WHEN OLD."id" IS NOT NEW."id" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."number" IS NOT NEW."number" OR OLD."key" IS NOT NEW."key" OR OLD."ordered_at" IS NOT NEW."ordered_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'part_order', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'number' AS k, OLD."number" AS v WHERE OLD."number" IS NOT NEW."number" UNION ALL SELECT 'key' AS k, OLD."key" AS v WHERE OLD."key" IS NOT NEW."key" UNION ALL SELECT 'ordered_at' AS k, OLD."ordered_at" AS v WHERE OLD."ordered_at" IS NOT NEW."ordered_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'number' AS k, NEW."number" AS v WHERE OLD."number" IS NOT NEW."number" UNION ALL SELECT 'key' AS k, NEW."key" AS v WHERE OLD."key" IS NOT NEW."key" UNION ALL SELECT 'ordered_at' AS k, NEW."ordered_at" AS v WHERE OLD."ordered_at" IS NOT NEW."ordered_at"))); END;
CREATE TRIGGER "noted_part_order_delete" AFTER DELETE ON "part_order" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'part_order', OLD.id, json_object('id', OLD."id", 'card_id', OLD."card_id", 'number', OLD."number", 'key', OLD."key", 'ordered_at', OLD."ordered_at"), NULL); END;
CREATE TRIGGER "noted_round_insert" AFTER INSERT ON "round" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'round', NEW.id, NULL, json_object('id', NEW."id", 'card_id', NEW."card_id", 'number', NEW."number", 'opened_at', NEW."opened_at", 'reason', NEW."reason", 'hand_turns', NEW."hand_turns")); END;
CREATE TRIGGER "noted_round_update" AFTER UPDATE ON "round" WHEN OLD."id" IS NOT NEW."id" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."number" IS NOT NEW."number" OR OLD."opened_at" IS NOT NEW."opened_at" OR OLD."reason" IS NOT NEW."reason" OR OLD."hand_turns" IS NOT NEW."hand_turns" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'round', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'number' AS k, OLD."number" AS v WHERE OLD."number" IS NOT NEW."number" UNION ALL SELECT 'opened_at' AS k, OLD."opened_at" AS v WHERE OLD."opened_at" IS NOT NEW."opened_at" UNION ALL SELECT 'reason' AS k, OLD."reason" AS v WHERE OLD."reason" IS NOT NEW."reason" UNION ALL SELECT 'hand_turns' AS k, OLD."hand_turns" AS v WHERE OLD."hand_turns" IS NOT NEW."hand_turns")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'number' AS k, NEW."number" AS v WHERE OLD."number" IS NOT NEW."number" UNION ALL SELECT 'opened_at' AS k, NEW."opened_at" AS v WHERE OLD."opened_at" IS NOT NEW."opened_at" UNION ALL SELECT 'reason' AS k, NEW."reason" AS v WHERE OLD."reason" IS NOT NEW."reason" UNION ALL SELECT 'hand_turns' AS k, NEW."hand_turns" AS v WHERE OLD."hand_turns" IS NOT NEW."hand_turns"))); END;
CREATE TRIGGER "noted_round_delete" AFTER DELETE ON "round" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'round', OLD.id, json_object('id', OLD."id", 'card_id', OLD."card_id", 'number', OLD."number", 'opened_at', OLD."opened_at", 'reason', OLD."reason", 'hand_turns', OLD."hand_turns"), NULL); END;
CREATE TRIGGER "noted_seal_insert" AFTER INSERT ON "seal" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'seal', NEW.id, NULL, json_object('id', NEW."id", 'card_id', NEW."card_id", 'fingerprint', NEW."fingerprint", 'head', NEW."head", 'sealed_at', NEW."sealed_at", 'public', NEW."public", 'signature', NEW."signature")); END;
CREATE TRIGGER "noted_seal_update" AFTER UPDATE ON "seal" WHEN OLD."id" IS NOT NEW."id" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."fingerprint" IS NOT NEW."fingerprint" OR OLD."head" IS NOT NEW."head" OR OLD."sealed_at" IS NOT NEW."sealed_at" OR OLD."public" IS NOT NEW."public" OR OLD."signature" IS NOT NEW."signature" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'seal', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'fingerprint' AS k, OLD."fingerprint" AS v WHERE OLD."fingerprint" IS NOT NEW."fingerprint" UNION ALL SELECT 'head' AS k, OLD."head" AS v WHERE OLD."head" IS NOT NEW."head" UNION ALL SELECT 'sealed_at' AS k, OLD."sealed_at" AS v WHERE OLD."sealed_at" IS NOT NEW."sealed_at" UNION ALL SELECT 'public' AS k, OLD."public" AS v WHERE OLD."public" IS NOT NEW."public" UNION ALL SELECT 'signature' AS k, OLD."signature" AS v WHERE OLD."signature" IS NOT NEW."signature")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'fingerprint' AS k, NEW."fingerprint" AS v WHERE OLD."fingerprint" IS NOT NEW."fingerprint" UNION ALL SELECT 'head' AS k, NEW."head" AS v WHERE OLD."head" IS NOT NEW."head" UNION ALL SELECT 'sealed_at' AS k, NEW."sealed_at" AS v WHERE OLD."sealed_at" IS NOT NEW."sealed_at" UNION ALL SELECT 'public' AS k, NEW."public" AS v WHERE OLD."public" IS NOT NEW."public" UNION ALL SELECT 'signature' AS k, NEW."signature" AS v WHERE OLD."signature" IS NOT NEW."signature"))); END;
CREATE TRIGGER "noted_seal_delete" AFTER DELETE ON "seal" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'seal', OLD.id, json_object('id', OLD."id", 'card_id', OLD."card_id", 'fingerprint', OLD."fingerprint", 'head', OLD."head", 'sealed_at', OLD."sealed_at", 'public', OLD."public", 'signature', OLD."signature"), NULL); END;
CREATE TRIGGER "noted_strip_tray_insert" AFTER INSERT ON "strip_tray" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'strip_tray', NEW.id, NULL, json_object('id', NEW."id", 'card_id', NEW."card_id", 'document', NEW."document", 'recorded_at', NEW."recorded_at")); END;
CREATE TRIGGER "noted_strip_tray_update" AFTER UPDATE ON "strip_tray" WHEN OLD."id" IS NOT NEW."id" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."document" IS NOT NEW."document" OR OLD."recorded_at" IS NOT NEW."recorded_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'strip_tray', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'document' AS k, OLD."document" AS v WHERE OLD."document" IS NOT NEW."document" UNION ALL SELECT 'recorded_at' AS k, OLD."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'document' AS k, NEW."document" AS v WHERE OLD."document" IS NOT NEW."document" UNION ALL SELECT 'recorded_at' AS k, NEW."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at"))); END;
CREATE TRIGGER "noted_strip_tray_delete" AFTER DELETE ON "strip_tray" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'strip_tray', OLD.id, json_object('id', OLD."id", 'card_id', OLD."card_id", 'document', OLD."document", 'recorded_at', OLD."recorded_at"), NULL); END;
CREATE TRIGGER "noted_gap_reading_insert" AFTER INSERT ON "gap_reading" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'gap_reading', NEW.id, NULL, json_object('id', NEW."id", 'purpose', NEW."purpose", 'unit', NEW."unit", 'goes', NEW."goes", 'refuses', NEW."refuses", 'feel', NEW."feel", 'low_nm', NEW."low_nm", 'high_nm', NEW."high_nm", 'open_above', NEW."open_above", 'called_nm', NEW."called_nm", 'thinnest', NEW."thinnest", 'repeats', NEW."repeats", 'kept', NEW."kept", 'warm', NEW."warm", 'guess', NEW."guess", 'reason', NEW."reason", 'supersedes_id', NEW."supersedes_id", 'round_id', NEW."round_id", 'valve', NEW."valve", 'typed', NEW."typed", 'recorded_at', NEW."recorded_at", 'superseded_at', NEW."superseded_at")); END;
CREATE TRIGGER "noted_gap_reading_update" AFTER UPDATE ON "gap_reading" WHEN OLD."id" IS NOT NEW."id" OR OLD."purpose" IS NOT NEW."purpose" OR OLD."unit" IS NOT NEW."unit" OR OLD."goes" IS NOT NEW."goes" OR OLD."refuses" IS NOT NEW."refuses" OR OLD."feel" IS NOT NEW."feel" OR OLD."low_nm" IS NOT NEW."low_nm" OR OLD."high_nm" IS NOT NEW."high_nm" OR OLD."open_above" IS NOT NEW."open_above" OR OLD."called_nm" IS NOT NEW."called_nm" OR OLD."thinnest" IS NOT NEW."thinnest" OR OLD."repeats" IS NOT NEW."repeats" OR OLD."kept" IS NOT NEW."kept" OR OLD."warm" IS NOT NEW."warm" OR OLD."guess" IS NOT NEW."guess" OR OLD."reason" IS NOT NEW."reason" OR OLD."supersedes_id" IS NOT NEW."supersedes_id" OR OLD."round_id" IS NOT NEW."round_id" OR OLD."valve" IS NOT NEW."valve" OR OLD."typed" IS NOT NEW."typed" OR OLD."recorded_at" IS NOT NEW."recorded_at" OR OLD."superseded_at" IS NOT NEW."superseded_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'gap_reading', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'purpose' AS k, OLD."purpose" AS v WHERE OLD."purpose" IS NOT NEW."purpose" UNION ALL SELECT 'unit' AS k, OLD."unit" AS v WHERE OLD."unit" IS NOT NEW."unit" UNION ALL SELECT 'goes' AS k, OLD."goes" AS v WHERE OLD."goes" IS NOT NEW."goes" UNION ALL SELECT 'refuses' AS k, OLD."refuses" AS v WHERE OLD."refuses" IS NOT NEW."refuses" UNION ALL SELECT 'feel' AS k, OLD."feel" AS v WHERE OLD."feel" IS NOT NEW."feel" UNION ALL SELECT 'low_nm' AS k, OLD."low_nm" AS v WHERE OLD."low_nm" IS NOT NEW."low_nm" UNION ALL SELECT 'high_nm' AS k, OLD."high_nm" AS v WHERE OLD."high_nm" IS NOT NEW."high_nm" UNION ALL SELECT 'open_above' AS k, OLD."open_above" AS v WHERE OLD."open_above" IS NOT NEW."open_above" UNION ALL SELECT 'called_nm' AS k, OLD."called_nm" AS v WHERE OLD."called_nm" IS NOT NEW."called_nm" UNION ALL SELECT 'thinnest' AS k, OLD."thinnest" AS v WHERE OLD."thinnest" IS NOT NEW."thinnest" UNION ALL SELECT 'repeats' AS k, OLD."repeats" AS v WHERE OLD."repeats" IS NOT NEW."repeats" UNION ALL SELECT 'kept' AS k, OLD."kept" AS v WHERE OLD."kept" IS NOT NEW."kept" UNION ALL SELECT 'warm' AS k, OLD."warm" AS v WHERE OLD."warm" IS NOT NEW."warm" UNION ALL SELECT 'guess' AS k, OLD."guess" AS v WHERE OLD."guess" IS NOT NEW."guess" UNION ALL SELECT 'reason' AS k, OLD."reason" AS v WHERE OLD."reason" IS NOT NEW."reason" UNION ALL SELECT 'supersedes_id' AS k, OLD."supersedes_id" AS v WHERE OLD."supersedes_id" IS NOT NEW."supersedes_id" UNION ALL SELECT 'round_id' AS k, OLD."round_id" AS v WHERE OLD."round_id" IS NOT NEW."round_id" UNION ALL SELECT 'valve' AS k, OLD."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'typed' AS k, OLD."typed" AS v WHERE OLD."typed" IS NOT NEW."typed" UNION ALL SELECT 'recorded_at' AS k, OLD."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'superseded_at' AS k, OLD."superseded_at" AS v WHERE OLD."superseded_at" IS NOT NEW."superseded_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'purpose' AS k, NEW."purpose" AS v WHERE OLD."purpose" IS NOT NEW."purpose" UNION ALL SELECT 'unit' AS k, NEW."unit" AS v WHERE OLD."unit" IS NOT NEW."unit" UNION ALL SELECT 'goes' AS k, NEW."goes" AS v WHERE OLD."goes" IS NOT NEW."goes" UNION ALL SELECT 'refuses' AS k, NEW."refuses" AS v WHERE OLD."refuses" IS NOT NEW."refuses" UNION ALL SELECT 'feel' AS k, NEW."feel" AS v WHERE OLD."feel" IS NOT NEW."feel" UNION ALL SELECT 'low_nm' AS k, NEW."low_nm" AS v WHERE OLD."low_nm" IS NOT NEW."low_nm" UNION ALL SELECT 'high_nm' AS k, NEW."high_nm" AS v WHERE OLD."high_nm" IS NOT NEW."high_nm" UNION ALL SELECT 'open_above' AS k, NEW."open_above" AS v WHERE OLD."open_above" IS NOT NEW."open_above" UNION ALL SELECT 'called_nm' AS k, NEW."called_nm" AS v WHERE OLD."called_nm" IS NOT NEW."called_nm" UNION ALL SELECT 'thinnest' AS k, NEW."thinnest" AS v WHERE OLD."thinnest" IS NOT NEW."thinnest" UNION ALL SELECT 'repeats' AS k, NEW."repeats" AS v WHERE OLD."repeats" IS NOT NEW."repeats" UNION ALL SELECT 'kept' AS k, NEW."kept" AS v WHERE OLD."kept" IS NOT NEW."kept" UNION ALL SELECT 'warm' AS k, NEW."warm" AS v WHERE OLD."warm" IS NOT NEW."warm" UNION ALL SELECT 'guess' AS k, NEW."guess" AS v WHERE OLD."guess" IS NOT NEW."guess" UNION ALL SELECT 'reason' AS k, NEW."reason" AS v WHERE OLD."reason" IS NOT NEW."reason" UNION ALL SELECT 'supersedes_id' AS k, NEW."supersedes_id" AS v WHERE OLD."supersedes_id" IS NOT NEW."supersedes_id" UNION ALL SELECT 'round_id' AS k, NEW."round_id" AS v WHERE OLD."round_id" IS NOT NEW."round_id" UNION ALL SELECT 'valve' AS k, NEW."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'typed' AS k, NEW."typed" AS v WHERE OLD."typed" IS NOT NEW."typed" UNION ALL SELECT 'recorded_at' AS k, NEW."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'superseded_at' AS k, NEW."superseded_at" AS v WHERE OLD."superseded_at" IS NOT NEW."superseded_at"))); END;
CREATE TRIGGER "noted_gap_reading_delete" AFTER DELETE ON "gap_reading" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'gap_reading', OLD.id, json_object('id', OLD."id", 'purpose', OLD."purpose", 'unit', OLD."unit", 'goes', OLD."goes", 'refuses', OLD."refuses", 'feel', OLD."feel", 'low_nm', OLD."low_nm", 'high_nm', OLD."high_nm", 'open_above', OLD."open_above", 'called_nm', OLD."called_nm", 'thinnest', OLD."thinnest", 'repeats', OLD."repeats", 'kept', OLD."kept", 'warm', OLD."warm", 'guess', OLD."guess", 'reason', OLD."reason", 'supersedes_id', OLD."supersedes_id", 'round_id', OLD."round_id", 'valve', OLD."valve", 'typed', OLD."typed", 'recorded_at', OLD."recorded_at", 'superseded_at', OLD."superseded_at"), NULL); END;
CREATE TRIGGER "noted_part_order_line_insert" AFTER INSERT ON "part_order_line" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'part_order_line', NEW.id, NULL, json_object('id', NEW."id", 'order_id', NEW."order_id", 'family_id', NEW."family_id", 'thickness_nm', NEW."thickness_nm", 'count', NEW."count", 'price', NEW."price", 'days', NEW."days", 'state', NEW."state", 'says', NEW."says")); END;
CREATE TRIGGER "noted_part_order_line_update" AFTER UPDATE ON "part_order_line" WHEN OLD."id" IS NOT NEW."id" OR OLD."order_id" IS NOT NEW."order_id" OR OLD."family_id" IS NOT NEW."family_id" OR OLD."thickness_nm" IS NOT NEW."thickness_nm" OR OLD."count" IS NOT NEW."count" OR OLD."price" IS NOT NEW."price" OR OLD."days" IS NOT NEW."days" OR OLD."state" IS NOT NEW."state" OR OLD."says" IS NOT NEW."says" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'part_order_line', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'order_id' AS k, OLD."order_id" AS v WHERE OLD."order_id" IS NOT NEW."order_id" UNION ALL SELECT 'family_id' AS k, OLD."family_id" AS v WHERE OLD."family_id" IS NOT NEW."family_id" UNION ALL SELECT 'thickness_nm' AS k, OLD."thickness_nm" AS v WHERE OLD."thickness_nm" IS NOT NEW."thickness_nm" UNION ALL SELECT 'count' AS k, OLD."count" AS v WHERE OLD."count" IS NOT NEW."count" UNION ALL SELECT 'price' AS k, OLD."price" AS v WHERE OLD."price" IS NOT NEW."price" UNION ALL SELECT 'days' AS k, OLD."days" AS v WHERE OLD."days" IS NOT NEW."days" UNION ALL SELECT 'state' AS k, OLD."state" AS v WHERE OLD."state" IS NOT NEW."state" UNION ALL SELECT 'says' AS k, OLD."says" AS v WHERE OLD."says" IS NOT NEW."says")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'order_id' AS k, NEW."order_id" AS v WHERE OLD."order_id" IS NOT NEW."order_id" UNION ALL SELECT 'family_id' AS k, NEW."family_id" AS v WHERE OLD."family_id" IS NOT NEW."family_id" UNION ALL SELECT 'thickness_nm' AS k, NEW."thickness_nm" AS v WHERE OLD."thickness_nm" IS NOT NEW."thickness_nm" UNION ALL SELECT 'count' AS k, NEW."count" AS v WHERE OLD."count" IS NOT NEW."count" UNION ALL SELECT 'price' AS k, NEW."price" AS v WHERE OLD."price" IS NOT NEW."price" UNION ALL SELECT 'days' AS k, NEW."days" AS v WHERE OLD."days" IS NOT NEW."days" UNION ALL SELECT 'state' AS k, NEW."state" AS v WHERE OLD."state" IS NOT NEW."state" UNION ALL SELECT 'says' AS k, NEW."says" AS v WHERE OLD."says" IS NOT NEW."says"))); END;
CREATE TRIGGER "noted_part_order_line_delete" AFTER DELETE ON "part_order_line" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'part_order_line', OLD.id, json_object('id', OLD."id", 'order_id', OLD."order_id", 'family_id', OLD."family_id", 'thickness_nm', OLD."thickness_nm", 'count', OLD."count", 'price', OLD."price", 'days', OLD."days", 'state', OLD."state", 'says', OLD."says"), NULL); END;
CREATE TRIGGER "noted_piece_reading_insert" AFTER INSERT ON "piece_reading" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'piece_reading', NEW.id, NULL, json_object('id', NEW."id", 'marked', NEW."marked", 'marked_nm', NEW."marked_nm", 'measured_nm', NEW."measured_nm", 'readings', NEW."readings", 'condition', NEW."condition", 'doubt_nm', NEW."doubt_nm", 'zero_nm', NEW."zero_nm", 'answered', NEW."answered", 'supersedes_id', NEW."supersedes_id", 'round_id', NEW."round_id", 'valve', NEW."valve", 'typed', NEW."typed", 'recorded_at', NEW."recorded_at", 'superseded_at', NEW."superseded_at")); END;
CREATE TRIGGER "noted_piece_reading_update" AFTER UPDATE ON "piece_reading" WHEN OLD."id" IS NOT NEW."id" OR OLD."marked" IS NOT NEW."marked" OR OLD."marked_nm" IS NOT NEW."marked_nm" OR OLD."measured_nm" IS NOT NEW."measured_nm" OR OLD."readings" IS NOT NEW."readings" OR OLD."condition" IS NOT NEW."condition" OR OLD."doubt_nm" IS NOT NEW."doubt_nm" OR OLD."zero_nm" IS NOT NEW."zero_nm" OR OLD."answered" IS NOT NEW."answered" OR OLD."supersedes_id" IS NOT NEW."supersedes_id" OR OLD."round_id" IS NOT NEW."round_id" OR OLD."valve" IS NOT NEW."valve" OR OLD."typed" IS NOT NEW."typed" OR OLD."recorded_at" IS NOT NEW."recorded_at" OR OLD."superseded_at" IS NOT NEW."superseded_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'piece_reading', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'marked' AS k, OLD."marked" AS v WHERE OLD."marked" IS NOT NEW."marked" UNION ALL SELECT 'marked_nm' AS k, OLD."marked_nm" AS v WHERE OLD."marked_nm" IS NOT NEW."marked_nm" UNION ALL SELECT 'measured_nm' AS k, OLD."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'readings' AS k, OLD."readings" AS v WHERE OLD."readings" IS NOT NEW."readings" UNION ALL SELECT 'condition' AS k, OLD."condition" AS v WHERE OLD."condition" IS NOT NEW."condition" UNION ALL SELECT 'doubt_nm' AS k, OLD."doubt_nm" AS v WHERE OLD."doubt_nm" IS NOT NEW."doubt_nm" UNION ALL SELECT 'zero_nm' AS k, OLD."zero_nm" AS v WHERE OLD."zero_nm" IS NOT NEW."zero_nm" UNION ALL SELECT 'answered' AS k, OLD."answered" AS v WHERE OLD."answered" IS NOT NEW."answered" UNION ALL SELECT 'supersedes_id' AS k, OLD."supersedes_id" AS v WHERE OLD."supersedes_id" IS NOT NEW."supersedes_id" UNION ALL SELECT 'round_id' AS k, OLD."round_id" AS v WHERE OLD."round_id" IS NOT NEW."round_id" UNION ALL SELECT 'valve' AS k, OLD."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'typed' AS k, OLD."typed" AS v WHERE OLD."typed" IS NOT NEW."typed" UNION ALL SELECT 'recorded_at' AS k, OLD."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'superseded_at' AS k, OLD."superseded_at" AS v WHERE OLD."superseded_at" IS NOT NEW."superseded_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'marked' AS k, NEW."marked" AS v WHERE OLD."marked" IS NOT NEW."marked" UNION ALL SELECT 'marked_nm' AS k, NEW."marked_nm" AS v WHERE OLD."marked_nm" IS NOT NEW."marked_nm" UNION ALL SELECT 'measured_nm' AS k, NEW."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'readings' AS k, NEW."readings" AS v WHERE OLD."readings" IS NOT NEW."readings" UNION ALL SELECT 'condition' AS k, NEW."condition" AS v WHERE OLD."condition" IS NOT NEW."condition" UNION ALL SELECT 'doubt_nm' AS k, NEW."doubt_nm" AS v WHERE OLD."doubt_nm" IS NOT NEW."doubt_nm" UNION ALL SELECT 'zero_nm' AS k, NEW."zero_nm" AS v WHERE OLD."zero_nm" IS NOT NEW."zero_nm" UNION ALL SELECT 'answered' AS k, NEW."answered" AS v WHERE OLD."answered" IS NOT NEW."answered" UNION ALL SELECT 'supersedes_id' AS k, NEW."supersedes_id" AS v WHERE OLD."supersedes_id" IS NOT NEW."supersedes_id" UNION ALL SELECT 'round_id' AS k, NEW."round_id" AS v WHERE OLD."round_id" IS NOT NEW."round_id" UNION ALL SELECT 'valve' AS k, NEW."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'typed' AS k, NEW."typed" AS v WHERE OLD."typed" IS NOT NEW."typed" UNION ALL SELECT 'recorded_at' AS k, NEW."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'superseded_at' AS k, NEW."superseded_at" AS v WHERE OLD."superseded_at" IS NOT NEW."superseded_at"))); END;
CREATE TRIGGER "noted_piece_reading_delete" AFTER DELETE ON "piece_reading" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'piece_reading', OLD.id, json_object('id', OLD."id", 'marked', OLD."marked", 'marked_nm', OLD."marked_nm", 'measured_nm', OLD."measured_nm", 'readings', OLD."readings", 'condition', OLD."condition", 'doubt_nm', OLD."doubt_nm", 'zero_nm', OLD."zero_nm", 'answered', OLD."answered", 'supersedes_id', OLD."supersedes_id", 'round_id', OLD."round_id", 'valve', OLD."valve", 'typed', OLD."typed", 'recorded_at', OLD."recorded_at", 'superseded_at', OLD."superseded_at"), NULL); END;
CREATE TRIGGER "noted_shim_insert" AFTER INSERT ON "shim" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim', NEW.id, NULL, json_object('id', NEW."id", 'family_id', NEW."family_id", 'marked', NEW."marked", 'marked_nm', NEW."marked_nm", 'measured_nm', NEW."measured_nm", 'thickness_nm', NEW."thickness_nm", 'condition', NEW."condition", 'place', NEW."place", 'engine_id', NEW."engine_id", 'valve', NEW."valve", 'card_id', NEW."card_id", 'order_line_id', NEW."order_line_id")); END;
CREATE TRIGGER "noted_shim_update" AFTER UPDATE ON "shim" WHEN OLD."id" IS NOT NEW."id" OR OLD."family_id" IS NOT NEW."family_id" OR OLD."marked" IS NOT NEW."marked" OR OLD."marked_nm" IS NOT NEW."marked_nm" OR OLD."measured_nm" IS NOT NEW."measured_nm" OR OLD."thickness_nm" IS NOT NEW."thickness_nm" OR OLD."condition" IS NOT NEW."condition" OR OLD."place" IS NOT NEW."place" OR OLD."engine_id" IS NOT NEW."engine_id" OR OLD."valve" IS NOT NEW."valve" OR OLD."card_id" IS NOT NEW."card_id" OR OLD."order_line_id" IS NOT NEW."order_line_id" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'family_id' AS k, OLD."family_id" AS v WHERE OLD."family_id" IS NOT NEW."family_id" UNION ALL SELECT 'marked' AS k, OLD."marked" AS v WHERE OLD."marked" IS NOT NEW."marked" UNION ALL SELECT 'marked_nm' AS k, OLD."marked_nm" AS v WHERE OLD."marked_nm" IS NOT NEW."marked_nm" UNION ALL SELECT 'measured_nm' AS k, OLD."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'thickness_nm' AS k, OLD."thickness_nm" AS v WHERE OLD."thickness_nm" IS NOT NEW."thickness_nm" UNION ALL SELECT 'condition' AS k, OLD."condition" AS v WHERE OLD."condition" IS NOT NEW."condition" UNION ALL SELECT 'place' AS k, OLD."place" AS v WHERE OLD."place" IS NOT NEW."place" UNION ALL SELECT 'engine_id' AS k, OLD."engine_id" AS v WHERE OLD."engine_id" IS NOT NEW."engine_id" UNION ALL SELECT 'valve' AS k, OLD."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'card_id' AS k, OLD."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'order_line_id' AS k, OLD."order_line_id" AS v WHERE OLD."order_line_id" IS NOT NEW."order_line_id")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'family_id' AS k, NEW."family_id" AS v WHERE OLD."family_id" IS NOT NEW."family_id" UNION ALL SELECT 'marked' AS k, NEW."marked" AS v WHERE OLD."marked" IS NOT NEW."marked" UNION ALL SELECT 'marked_nm' AS k, NEW."marked_nm" AS v WHERE OLD."marked_nm" IS NOT NEW."marked_nm" UNION ALL SELECT 'measured_nm' AS k, NEW."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'thickness_nm' AS k, NEW."thickness_nm" AS v WHERE OLD."thickness_nm" IS NOT NEW."thickness_nm" UNION ALL SELECT 'condition' AS k, NEW."condition" AS v WHERE OLD."condition" IS NOT NEW."condition" UNION ALL SELECT 'place' AS k, NEW."place" AS v WHERE OLD."place" IS NOT NEW."place" UNION ALL SELECT 'engine_id' AS k, NEW."engine_id" AS v WHERE OLD."engine_id" IS NOT NEW."engine_id" UNION ALL SELECT 'valve' AS k, NEW."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'card_id' AS k, NEW."card_id" AS v WHERE OLD."card_id" IS NOT NEW."card_id" UNION ALL SELECT 'order_line_id' AS k, NEW."order_line_id" AS v WHERE OLD."order_line_id" IS NOT NEW."order_line_id"))); END;
CREATE TRIGGER "noted_shim_delete" AFTER DELETE ON "shim" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim', OLD.id, json_object('id', OLD."id", 'family_id', OLD."family_id", 'marked', OLD."marked", 'marked_nm', OLD."marked_nm", 'measured_nm', OLD."measured_nm", 'thickness_nm', OLD."thickness_nm", 'condition', OLD."condition", 'place', OLD."place", 'engine_id', OLD."engine_id", 'valve', OLD."valve", 'card_id', OLD."card_id", 'order_line_id', OLD."order_line_id"), NULL); END;
CREATE TRIGGER "noted_choice_insert" AFTER INSERT ON "choice" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'choice', NEW.id, NULL, json_object('id', NEW."id", 'thickness_nm', NEW."thickness_nm", 'source', NEW."source", 'from_valve', NEW."from_valve", 'by_hand', NEW."by_hand", 'shim_id', NEW."shim_id", 'by_marking', NEW."by_marking", 'measured_nm', NEW."measured_nm", 'fitted_at', NEW."fitted_at", 'made_from', NEW."made_from", 'doubt_nm', NEW."doubt_nm", 'supersedes_id', NEW."supersedes_id", 'round_id', NEW."round_id", 'valve', NEW."valve", 'typed', NEW."typed", 'recorded_at', NEW."recorded_at", 'superseded_at', NEW."superseded_at")); END;
CREATE TRIGGER "noted_choice_update" AFTER UPDATE ON "choice" WHEN OLD."id" IS NOT NEW."id" OR OLD."thickness_nm" IS NOT NEW."thickness_nm" OR OLD."source" IS NOT NEW."source" OR OLD."from_valve" IS NOT NEW."from_valve" OR OLD."by_hand" IS NOT NEW."by_hand" OR OLD."shim_id" IS NOT NEW."shim_id" OR OLD."by_marking" IS NOT NEW."by_marking" OR OLD."measured_nm" IS NOT NEW."measured_nm" OR OLD."fitted_at" IS NOT NEW."fitted_at" OR OLD."made_from" IS NOT NEW."made_from" OR OLD."doubt_nm" IS NOT NEW."doubt_nm" OR OLD."supersedes_id" IS NOT NEW."supersedes_id" OR OLD."round_id" IS NOT NEW."round_id" OR OLD."valve" IS NOT NEW."valve" OR OLD."typed" IS NOT NEW."typed" OR OLD."recorded_at" IS NOT NEW."recorded_at" OR OLD."superseded_at" IS NOT NEW."superseded_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'choice', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'thickness_nm' AS k, OLD."thickness_nm" AS v WHERE OLD."thickness_nm" IS NOT NEW."thickness_nm" UNION ALL SELECT 'source' AS k, OLD."source" AS v WHERE OLD."source" IS NOT NEW."source" UNION ALL SELECT 'from_valve' AS k, OLD."from_valve" AS v WHERE OLD."from_valve" IS NOT NEW."from_valve" UNION ALL SELECT 'by_hand' AS k, OLD."by_hand" AS v WHERE OLD."by_hand" IS NOT NEW."by_hand" UNION ALL SELECT 'shim_id' AS k, OLD."shim_id" AS v WHERE OLD."shim_id" IS NOT NEW."shim_id" UNION ALL SELECT 'by_marking' AS k, OLD."by_marking" AS v WHERE OLD."by_marking" IS NOT NEW."by_marking" UNION ALL SELECT 'measured_nm' AS k, OLD."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'fitted_at' AS k, OLD."fitted_at" AS v WHERE OLD."fitted_at" IS NOT NEW."fitted_at" UNION ALL SELECT 'made_from' AS k, OLD."made_from" AS v WHERE OLD."made_from" IS NOT NEW."made_from" UNION ALL SELECT 'doubt_nm' AS k, OLD."doubt_nm" AS v WHERE OLD."doubt_nm" IS NOT NEW."doubt_nm" UNION ALL SELECT 'supersedes_id' AS k, OLD."supersedes_id" AS v WHERE OLD."supersedes_id" IS NOT NEW."supersedes_id" UNION ALL SELECT 'round_id' AS k, OLD."round_id" AS v WHERE OLD."round_id" IS NOT NEW."round_id" UNION ALL SELECT 'valve' AS k, OLD."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'typed' AS k, OLD."typed" AS v WHERE OLD."typed" IS NOT NEW."typed" UNION ALL SELECT 'recorded_at' AS k, OLD."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'superseded_at' AS k, OLD."superseded_at" AS v WHERE OLD."superseded_at" IS NOT NEW."superseded_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'thickness_nm' AS k, NEW."thickness_nm" AS v WHERE OLD."thickness_nm" IS NOT NEW."thickness_nm" UNION ALL SELECT 'source' AS k, NEW."source" AS v WHERE OLD."source" IS NOT NEW."source" UNION ALL SELECT 'from_valve' AS k, NEW."from_valve" AS v WHERE OLD."from_valve" IS NOT NEW."from_valve" UNION ALL SELECT 'by_hand' AS k, NEW."by_hand" AS v WHERE OLD."by_hand" IS NOT NEW."by_hand" UNION ALL SELECT 'shim_id' AS k, NEW."shim_id" AS v WHERE OLD."shim_id" IS NOT NEW."shim_id" UNION ALL SELECT 'by_marking' AS k, NEW."by_marking" AS v WHERE OLD."by_marking" IS NOT NEW."by_marking" UNION ALL SELECT 'measured_nm' AS k, NEW."measured_nm" AS v WHERE OLD."measured_nm" IS NOT NEW."measured_nm" UNION ALL SELECT 'fitted_at' AS k, NEW."fitted_at" AS v WHERE OLD."fitted_at" IS NOT NEW."fitted_at" UNION ALL SELECT 'made_from' AS k, NEW."made_from" AS v WHERE OLD."made_from" IS NOT NEW."made_from" UNION ALL SELECT 'doubt_nm' AS k, NEW."doubt_nm" AS v WHERE OLD."doubt_nm" IS NOT NEW."doubt_nm" UNION ALL SELECT 'supersedes_id' AS k, NEW."supersedes_id" AS v WHERE OLD."supersedes_id" IS NOT NEW."supersedes_id" UNION ALL SELECT 'round_id' AS k, NEW."round_id" AS v WHERE OLD."round_id" IS NOT NEW."round_id" UNION ALL SELECT 'valve' AS k, NEW."valve" AS v WHERE OLD."valve" IS NOT NEW."valve" UNION ALL SELECT 'typed' AS k, NEW."typed" AS v WHERE OLD."typed" IS NOT NEW."typed" UNION ALL SELECT 'recorded_at' AS k, NEW."recorded_at" AS v WHERE OLD."recorded_at" IS NOT NEW."recorded_at" UNION ALL SELECT 'superseded_at' AS k, NEW."superseded_at" AS v WHERE OLD."superseded_at" IS NOT NEW."superseded_at"))); END;
CREATE TRIGGER "noted_choice_delete" AFTER DELETE ON "choice" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'choice', OLD.id, json_object('id', OLD."id", 'thickness_nm', OLD."thickness_nm", 'source', OLD."source", 'from_valve', OLD."from_valve", 'by_hand', OLD."by_hand", 'shim_id', OLD."shim_id", 'by_marking', OLD."by_marking", 'measured_nm', OLD."measured_nm", 'fitted_at', OLD."fitted_at", 'made_from', OLD."made_from", 'doubt_nm', OLD."doubt_nm", 'supersedes_id', OLD."supersedes_id", 'round_id', OLD."round_id", 'valve', OLD."valve", 'typed', OLD."typed", 'recorded_at', OLD."recorded_at", 'superseded_at', OLD."superseded_at"), NULL); END;
CREATE TRIGGER "noted_shim_move_insert" AFTER INSERT ON "shim_move" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim_move', NEW.id, NULL, json_object('id', NEW."id", 'shim_id', NEW."shim_id", 'left', NEW."left", 'reached', NEW."reached", 'why', NEW."why", 'moved_at', NEW."moved_at")); END;
CREATE TRIGGER "noted_shim_move_update" AFTER UPDATE ON "shim_move" WHEN OLD."id" IS NOT NEW."id" OR OLD."shim_id" IS NOT NEW."shim_id" OR OLD."left" IS NOT NEW."left" OR OLD."reached" IS NOT NEW."reached" OR OLD."why" IS NOT NEW."why" OR OLD."moved_at" IS NOT NEW."moved_at" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim_move', NEW.id, (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, OLD."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'shim_id' AS k, OLD."shim_id" AS v WHERE OLD."shim_id" IS NOT NEW."shim_id" UNION ALL SELECT 'left' AS k, OLD."left" AS v WHERE OLD."left" IS NOT NEW."left" UNION ALL SELECT 'reached' AS k, OLD."reached" AS v WHERE OLD."reached" IS NOT NEW."reached" UNION ALL SELECT 'why' AS k, OLD."why" AS v WHERE OLD."why" IS NOT NEW."why" UNION ALL SELECT 'moved_at' AS k, OLD."moved_at" AS v WHERE OLD."moved_at" IS NOT NEW."moved_at")), (SELECT json_group_object(k, v) FROM (SELECT 'id' AS k, NEW."id" AS v WHERE OLD."id" IS NOT NEW."id" UNION ALL SELECT 'shim_id' AS k, NEW."shim_id" AS v WHERE OLD."shim_id" IS NOT NEW."shim_id" UNION ALL SELECT 'left' AS k, NEW."left" AS v WHERE OLD."left" IS NOT NEW."left" UNION ALL SELECT 'reached' AS k, NEW."reached" AS v WHERE OLD."reached" IS NOT NEW."reached" UNION ALL SELECT 'why' AS k, NEW."why" AS v WHERE OLD."why" IS NOT NEW."why" UNION ALL SELECT 'moved_at' AS k, NEW."moved_at" AS v WHERE OLD."moved_at" IS NOT NEW."moved_at"))); END;
CREATE TRIGGER "noted_shim_move_delete" AFTER DELETE ON "shim_move" BEGIN INSERT INTO "change" (entry_id, "of", "row", old, new) VALUES ((SELECT coalesce(max(id), 0) + 1 FROM "entry"), 'shim_move', OLD.id, json_object('id', OLD."id", 'shim_id', OLD."shim_id", 'left', OLD."left", 'reached', OLD."reached", 'why', OLD."why", 'moved_at', OLD."moved_at"), NULL); END;
CREATE VIRTUAL TABLE finding USING fts5(machine, people, words, sizes, tokenize = 'unicode61 remove_diacritics 2');
INSERT INTO "finding"(rowid, machine, people, words, sizes) VALUES(1, 'No. 8 · Tindle Pentad Gravel single, five valves; checked each season Tindle Pentad 449', 'Ivo Tarrask Ivo Tarrask', 'card 1 check and set Season''s end Cam caps evenly in three stages. New cover gasket. 2025-10-18 October 2025 2025-10-18 October 2025 signed', '1.65 1.70 1.80 1.848');
INSERT INTO "finding"(rowid, machine, people, words, sizes) VALUES(2, 'No. 5 · Varrow Quartet The instructors'' V-four Varrow Quartet 998', 'Merrin Oske', 'card 2 check and set Interval 2026-11-19 November 2026 open', '');
INSERT INTO "finding"(rowid, machine, people, words, sizes) VALUES(3, 'No. 3 · Ollerby Trefoil Trainer for the upper course; noisy since the autumn Ollerby Trefoil 795', 'Sanna Veldrig', 'card 3 check and set Ticking when warm, hard to start cold 2026-11-20 November 2026 open tight exhaust 1 EX R; loose intake 3 IN L; tight intake 2 IN R; no gap exhaust 2 EX R', '2.371 2.423 2.448 2.472 2.501 2.522 2.548 2.549 2.5965');
INSERT INTO "finding"(rowid, machine, people, words, sizes) VALUES(4, 'No. 11 · Corrie Offbeat Parallel twin, 270 degrees, for the road class Corrie Offbeat 690 The school, road class OHC 11', 'Sanna Veldrig', 'card 4 check and set Interval, and a light tick 2026-11-22 November 2026 open tight intake 1 IN R; tight exhaust 1 EX R; tight intake 2 IN R; tight exhaust 2 EX L', '2.48 2.52 2.56 2.561 2.602 2.641');
COMMIT;
