BEGIN TRANSACTION;
CREATE TABLE alembic_version (
	version_num VARCHAR(32) NOT NULL, 
	CONSTRAINT alembic_version_pkc PRIMARY KEY (version_num)
);
INSERT INTO "alembic_version" VALUES('0010');
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
	put_away_at DATETIME, kind VARCHAR DEFAULT 'set' NOT NULL, only_valve VARCHAR, change_nm INTEGER, distance_mi INTEGER, next_check_mi INTEGER, next_check_hours VARCHAR, next_check_on DATE, symptoms VARCHAR DEFAULT '' NOT NULL, checks JSON, notes JSON DEFAULT '{}' NOT NULL, bill JSON DEFAULT '[]' NOT NULL, recalled JSON DEFAULT '{}' NOT NULL, 
	CONSTRAINT pk_card PRIMARY KEY (id), 
	CONSTRAINT fk_card_engine_revision_id_engine_revision FOREIGN KEY(engine_revision_id) REFERENCES engine_revision (id), 
	FOREIGN KEY(blade_set_id) REFERENCES blade_set (id), 
	FOREIGN KEY(instrument_id) REFERENCES instrument (id)
);
INSERT INTO "card" VALUES(1,2,14,'2025-10-18 09:30:00.000000','Ivo Tarrask','Season''s end',6120,'loose','nearest','out','2025-10-18 10:09:00.000000','Ivo Tarrask','Cam caps evenly in three stages. New cover gasket.',9000,NULL,NULL,NULL,'','marks','[]',1,'measured',1,'best','[]',NULL,1,'[]','{"label": "No. 8 \u00b7 Tindle Pentad", "note": "Gravel single, five valves; checked each season", "blade_set": {"name": "Bench set", "stacking": true, "blades": [{"nominal_nm": 30000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 40000, "measured_nm": null, "state": "bent", "stamped_nm": null}, {"nominal_nm": 50000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 60000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 70000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 80000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 90000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 100000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 130000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 150000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 180000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 200000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 230000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 250000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 280000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 300000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 330000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 350000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 380000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 400000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 450000, "measured_nm": null, "state": "sound", "stamped_nm": null}, {"nominal_nm": 500000, "measured_nm": null, "state": "sound", "stamped_nm": null}], "stacks": []}, "instrument": {"name": "Bench micrometer", "doubt_nm": 4000}}','{"at": "sign", "measured": 5, "opened": 2, "verdicts": {"IN L": "in", "IN C": "in", "IN R": "in", "EX L": "in", "EX R": "in"}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}');
INSERT INTO "card" VALUES(2,3,14,'2026-11-19 08:40:00.000000','Merrin Oske','Interval',24310,'maker','nearest','out',NULL,NULL,NULL,NULL,NULL,'14','9','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"]',1,'measured',1,'best','[]',NULL,1,'[]',NULL,'{"at": "feel", "measured": 4, "opened": 0, "verdicts": {"1 EX L": "in", "1 EX R": "in", "2 IN L": "in", "2 IN R": "in", "3 EX L": null, "3 EX R": null, "4 IN L": null, "4 IN R": null, "4 EX L": null, "4 EX R": null, "1 IN L": null, "1 IN R": null, "2 EX L": null, "2 EX R": null, "3 IN L": null, "3 IN R": null}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}');
INSERT INTO "card" VALUES(3,1,33,'2026-11-20 08:40:00.000000','Sanna Veldrig','Ticking when warm, hard to start cold',18540,'loose','nearest','out',NULL,NULL,NULL,NULL,NULL,'16','7.5','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"]',1,'measured',1,'best','[]',NULL,1,'[]',NULL,'{"at": "read", "measured": 12, "opened": 4, "verdicts": {"1 IN L": "in", "1 IN R": "in", "1 EX L": "in", "1 EX R": "tight", "3 IN L": "loose", "3 IN R": "in", "2 IN L": "in", "2 IN R": "tight", "2 EX L": "in", "2 EX R": "none", "3 EX L": "in", "3 EX R": "in"}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}');
INSERT INTO "card" VALUES(4,7,38,'2026-11-22 08:40:00.000000','Sanna Veldrig','Interval, and a light tick',11980,'loose','nearest','out',NULL,NULL,NULL,NULL,NULL,'30','6','','marks','["power", "stand", "fuel", "hands", "clean", "plug", "plugs-out", "direction"]',1,'measured',1,'only-new','[]',NULL,1,'[{"name": "Cam caps", "places": [[0.1, 0.1], [0.5, 0.1], [0.9, 0.1], [0.1, 0.35], [0.5, 0.35], [0.9, 0.35], [0.1, 0.65], [0.5, 0.65], [0.9, 0.65], [0.1, 0.9], [0.5, 0.9], [0.9, 0.9]], "torque": "10", "unit": "N\u00b7m", "thread": "M6", "order": null, "turned": 17}]',NULL,'{"at": "prove", "measured": 8, "opened": 4, "verdicts": {"1 IN L": "in", "1 IN R": "tight", "1 EX L": "in", "1 EX R": "tight", "2 IN L": "in", "2 IN R": "tight", "2 EX L": "tight", "2 EX R": "in"}}',NULL,'set',NULL,NULL,NULL,NULL,NULL,NULL,'',NULL,'{}','[]','{}');
CREATE TABLE card_event (
	id INTEGER NOT NULL, 
	card_id INTEGER NOT NULL, 
	version INTEGER NOT NULL, 
	"key" VARCHAR NOT NULL, 
	action VARCHAR NOT NULL, 
	recorded_at DATETIME NOT NULL, 
	CONSTRAINT pk_card_event PRIMARY KEY (id), 
	CONSTRAINT fk_card_event_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT uq_card_event_card_id UNIQUE (card_id, "key"), 
	CONSTRAINT uq_card_event_card_id UNIQUE (card_id, version)
);
INSERT INTO "card_event" VALUES(1,1,2,'demo-093300','found IN L 12','2025-10-18 09:33:00.000000');
INSERT INTO "card_event" VALUES(2,1,3,'demo-093600','found IN C 8','2025-10-18 09:36:00.000000');
INSERT INTO "card_event" VALUES(3,1,4,'demo-093900','found IN R 10-13','2025-10-18 09:39:00.000000');
INSERT INTO "card_event" VALUES(4,1,5,'demo-094200','found EX L 15-18','2025-10-18 09:42:00.000000');
INSERT INTO "card_event" VALUES(5,1,6,'demo-094500','found EX R 20','2025-10-18 09:45:00.000000');
INSERT INTO "card_event" VALUES(6,1,7,'demo-094800','found EX L 15','2025-10-18 09:48:00.000000');
INSERT INTO "card_event" VALUES(7,1,8,'demo-095100','piece IN C 185 1.848','2025-10-18 09:51:00.000000');
INSERT INTO "card_event" VALUES(8,1,9,'demo-095400','piece EX L 170','2025-10-18 09:54:00.000000');
INSERT INTO "card_event" VALUES(9,1,10,'demo-095700','choose IN C 1800000','2025-10-18 09:57:00.000000');
INSERT INTO "card_event" VALUES(10,1,11,'demo-100000','choose EX L 1650000','2025-10-18 10:00:00.000000');
INSERT INTO "card_event" VALUES(11,1,12,'demo-100300','proof IN C 13','2025-10-18 10:03:00.000000');
INSERT INTO "card_event" VALUES(12,1,13,'demo-100600','proof EX L 20','2025-10-18 10:06:00.000000');
INSERT INTO "card_event" VALUES(13,1,14,'demo-100900','sign','2025-10-18 10:09:00.000000');
INSERT INTO "card_event" VALUES(14,2,2,'demo-084300','conditions','2026-11-19 08:43:00.000000');
INSERT INTO "card_event" VALUES(15,2,3,'demo-084600','safety power True','2026-11-19 08:46:00.000000');
INSERT INTO "card_event" VALUES(16,2,4,'demo-084900','safety stand True','2026-11-19 08:49:00.000000');
INSERT INTO "card_event" VALUES(17,2,5,'demo-085200','safety fuel True','2026-11-19 08:52:00.000000');
INSERT INTO "card_event" VALUES(18,2,6,'demo-085500','safety hands True','2026-11-19 08:55:00.000000');
INSERT INTO "card_event" VALUES(19,2,7,'demo-085800','safety clean True','2026-11-19 08:58:00.000000');
INSERT INTO "card_event" VALUES(20,2,8,'demo-090100','safety plug True','2026-11-19 09:01:00.000000');
INSERT INTO "card_event" VALUES(21,2,9,'demo-090400','safety plugs-out True','2026-11-19 09:04:00.000000');
INSERT INTO "card_event" VALUES(22,2,10,'demo-090700','safety direction True','2026-11-19 09:07:00.000000');
INSERT INTO "card_event" VALUES(23,2,11,'demo-091000','found 1 EX L 28','2026-11-19 09:10:00.000000');
INSERT INTO "card_event" VALUES(24,2,12,'demo-091300','found 1 EX R 25-28','2026-11-19 09:13:00.000000');
INSERT INTO "card_event" VALUES(25,2,13,'demo-091600','found 2 IN L 15-18','2026-11-19 09:16:00.000000');
INSERT INTO "card_event" VALUES(26,2,14,'demo-091900','found 2 IN R 15','2026-11-19 09:19:00.000000');
INSERT INTO "card_event" VALUES(27,3,2,'demo-084300','conditions','2026-11-20 08:43:00.000000');
INSERT INTO "card_event" VALUES(28,3,3,'demo-084600','safety power True','2026-11-20 08:46:00.000000');
INSERT INTO "card_event" VALUES(29,3,4,'demo-084900','safety stand True','2026-11-20 08:49:00.000000');
INSERT INTO "card_event" VALUES(30,3,5,'demo-085200','safety fuel True','2026-11-20 08:52:00.000000');
INSERT INTO "card_event" VALUES(31,3,6,'demo-085500','safety hands True','2026-11-20 08:55:00.000000');
INSERT INTO "card_event" VALUES(32,3,7,'demo-085800','safety clean True','2026-11-20 08:58:00.000000');
INSERT INTO "card_event" VALUES(33,3,8,'demo-090100','safety plug True','2026-11-20 09:01:00.000000');
INSERT INTO "card_event" VALUES(34,3,9,'demo-090400','safety plugs-out True','2026-11-20 09:04:00.000000');
INSERT INTO "card_event" VALUES(35,3,10,'demo-090700','safety direction True','2026-11-20 09:07:00.000000');
INSERT INTO "card_event" VALUES(36,3,11,'demo-091000','tray','2026-11-20 09:10:00.000000');
INSERT INTO "card_event" VALUES(37,3,12,'demo-091300','found 1 IN L 15','2026-11-20 09:13:00.000000');
INSERT INTO "card_event" VALUES(38,3,13,'demo-091600','found 1 IN R 13-15','2026-11-20 09:16:00.000000');
INSERT INTO "card_event" VALUES(39,3,14,'demo-091900','found 1 EX L 23','2026-11-20 09:19:00.000000');
INSERT INTO "card_event" VALUES(40,3,15,'demo-092200','found 1 EX R 18-20','2026-11-20 09:22:00.000000');
INSERT INTO "card_event" VALUES(41,3,16,'demo-092500','found 2 IN L 13','2026-11-20 09:25:00.000000');
INSERT INTO "card_event" VALUES(42,3,17,'demo-092800','found 2 IN R 8-10','2026-11-20 09:28:00.000000');
INSERT INTO "card_event" VALUES(43,3,18,'demo-093100','found 2 EX L 25','2026-11-20 09:31:00.000000');
INSERT INTO "card_event" VALUES(44,3,19,'demo-093400','found 2 EX R x','2026-11-20 09:34:00.000000');
INSERT INTO "card_event" VALUES(45,3,20,'demo-093700','found 3 IN L 23','2026-11-20 09:37:00.000000');
INSERT INTO "card_event" VALUES(46,3,21,'demo-094000','found 3 IN R 15','2026-11-20 09:40:00.000000');
INSERT INTO "card_event" VALUES(47,3,22,'demo-094300','found 3 EX L 23-25','2026-11-20 09:43:00.000000');
INSERT INTO "card_event" VALUES(48,3,23,'demo-094600','found 3 EX R 28','2026-11-20 09:46:00.000000');
INSERT INTO "card_event" VALUES(49,3,24,'demo-094900','piece 1 EX R 255 2.548','2026-11-20 09:49:00.000000');
INSERT INTO "card_event" VALUES(50,3,25,'demo-095200','piece 2 IN R 2475 2.472','2026-11-20 09:52:00.000000');
INSERT INTO "card_event" VALUES(51,3,26,'demo-095500','piece 2 EX R 260 2.596 2.597','2026-11-20 09:55:00.000000');
INSERT INTO "card_event" VALUES(52,3,27,'demo-095800','piece 3 IN L 240 2.371','2026-11-20 09:58:00.000000');
INSERT INTO "card_event" VALUES(53,3,28,'demo-100100','piece 1 IN L 245 2.448','2026-11-20 10:01:00.000000');
INSERT INTO "card_event" VALUES(54,3,29,'demo-100400','piece 2 IN L 2425 2.423','2026-11-20 10:04:00.000000');
INSERT INTO "card_event" VALUES(55,3,30,'demo-100700','piece 3 IN R ?? 2.448','2026-11-20 10:07:00.000000');
INSERT INTO "card_event" VALUES(56,3,31,'demo-101000','piece 1 EX L 255 2.549','2026-11-20 10:10:00.000000');
INSERT INTO "card_event" VALUES(57,3,32,'demo-101300','piece 2 EX L 2525 2.522','2026-11-20 10:13:00.000000');
INSERT INTO "card_event" VALUES(58,3,33,'demo-101600','piece 3 EX R 250 2.501','2026-11-20 10:16:00.000000');
INSERT INTO "card_event" VALUES(59,4,2,'demo-084300','conditions','2026-11-22 08:43:00.000000');
INSERT INTO "card_event" VALUES(60,4,3,'demo-084600','safety power True','2026-11-22 08:46:00.000000');
INSERT INTO "card_event" VALUES(61,4,4,'demo-084900','safety stand True','2026-11-22 08:49:00.000000');
INSERT INTO "card_event" VALUES(62,4,5,'demo-085200','safety fuel True','2026-11-22 08:52:00.000000');
INSERT INTO "card_event" VALUES(63,4,6,'demo-085500','safety hands True','2026-11-22 08:55:00.000000');
INSERT INTO "card_event" VALUES(64,4,7,'demo-085800','safety clean True','2026-11-22 08:58:00.000000');
INSERT INTO "card_event" VALUES(65,4,8,'demo-090100','safety plug True','2026-11-22 09:01:00.000000');
INSERT INTO "card_event" VALUES(66,4,9,'demo-090400','safety plugs-out True','2026-11-22 09:04:00.000000');
INSERT INTO "card_event" VALUES(67,4,10,'demo-090700','safety direction True','2026-11-22 09:07:00.000000');
INSERT INTO "card_event" VALUES(68,4,11,'demo-091000','tray','2026-11-22 09:10:00.000000');
INSERT INTO "card_event" VALUES(69,4,12,'demo-091300','found 1 IN L 12','2026-11-22 09:13:00.000000');
INSERT INTO "card_event" VALUES(70,4,13,'demo-091600','found 1 IN R 7','2026-11-22 09:16:00.000000');
INSERT INTO "card_event" VALUES(71,4,14,'demo-091900','found 1 EX L 25','2026-11-22 09:19:00.000000');
INSERT INTO "card_event" VALUES(72,4,15,'demo-092200','found 1 EX R 15-18','2026-11-22 09:22:00.000000');
INSERT INTO "card_event" VALUES(73,4,16,'demo-092500','found 2 IN L 13','2026-11-22 09:25:00.000000');
INSERT INTO "card_event" VALUES(74,4,17,'demo-092800','found 2 IN R 8','2026-11-22 09:28:00.000000');
INSERT INTO "card_event" VALUES(75,4,18,'demo-093100','found 2 EX L 20','2026-11-22 09:31:00.000000');
INSERT INTO "card_event" VALUES(76,4,19,'demo-093400','found 2 EX R 23-25','2026-11-22 09:34:00.000000');
INSERT INTO "card_event" VALUES(77,4,20,'demo-093700','piece 1 IN R 260 2.602','2026-11-22 09:37:00.000000');
INSERT INTO "card_event" VALUES(78,4,21,'demo-094000','piece 1 EX R 264 2.641','2026-11-22 09:40:00.000000');
INSERT INTO "card_event" VALUES(79,4,22,'demo-094300','piece 2 IN R 252 2.520','2026-11-22 09:43:00.000000');
INSERT INTO "card_event" VALUES(80,4,23,'demo-094600','piece 2 EX L 256 2.561','2026-11-22 09:46:00.000000');
INSERT INTO "card_event" VALUES(81,4,24,'demo-094900','variant only-new','2026-11-22 09:49:00.000000');
INSERT INTO "card_event" VALUES(82,4,25,'demo-095200','take plan','2026-11-22 09:52:00.000000');
INSERT INTO "card_event" VALUES(83,4,26,'demo-095500','bolts Cam caps','2026-11-22 09:55:00.000000');
INSERT INTO "card_event" VALUES(84,4,27,'demo-095800','turned Cam caps 17','2026-11-22 09:58:00.000000');
INSERT INTO "card_event" VALUES(85,4,28,'demo-100100','fit 1 IN R True','2026-11-22 10:01:00.000000');
INSERT INTO "card_event" VALUES(86,4,29,'demo-100400','fit 1 EX R True','2026-11-22 10:04:00.000000');
INSERT INTO "card_event" VALUES(87,4,30,'demo-100700','fit 2 IN R True','2026-11-22 10:07:00.000000');
INSERT INTO "card_event" VALUES(88,4,31,'demo-101000','fit 2 EX L True','2026-11-22 10:10:00.000000');
INSERT INTO "card_event" VALUES(89,4,32,'demo-101300','turns 2','2026-11-22 10:13:00.000000');
INSERT INTO "card_event" VALUES(90,4,33,'demo-101600','proof 1 IN R 18-20','2026-11-22 10:16:00.000000');
INSERT INTO "card_event" VALUES(91,4,34,'demo-101900','proof 1 EX R 23-25','2026-11-22 10:19:00.000000');
INSERT INTO "card_event" VALUES(92,4,35,'demo-102200','proof 2 IN R 8','2026-11-22 10:22:00.000000');
INSERT INTO "card_event" VALUES(93,4,36,'demo-102500','proof 2 EX L 23-25','2026-11-22 10:25:00.000000');
INSERT INTO "card_event" VALUES(94,4,37,'demo-102800','proof 1 IN L 12','2026-11-22 10:28:00.000000');
INSERT INTO "card_event" VALUES(95,4,38,'demo-103100','proof 1 EX L 25','2026-11-22 10:31:00.000000');
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
INSERT INTO "choice" VALUES(1800000,NULL,1,1,'IN C','1.80','2025-10-18 09:57:00.000000',NULL,'counter',NULL,1,NULL,1,NULL,NULL,'[80000, 80000, null, 1848000, 100000, 150000, 100000, 150000]',NULL);
INSERT INTO "choice" VALUES(1650000,NULL,2,1,'EX L','1.65','2025-10-18 10:00:00.000000',NULL,'counter',NULL,1,NULL,1,NULL,NULL,'[150000, 150000, null, 1700000, 170000, 220000, 170000, 220000]',NULL);
INSERT INTO "choice" VALUES(2520000,NULL,3,4,'1 IN R','2.52','2026-11-22 09:52:00.000000','2026-11-22 10:01:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[70000, 70000, null, 2602000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2560000,NULL,4,4,'1 EX R','2.56','2026-11-22 09:52:00.000000','2026-11-22 10:04:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[150000, 180000, null, 2641000, 220000, 290000, 220000, 290000]',NULL);
INSERT INTO "choice" VALUES(2480000,NULL,5,4,'2 IN R','2.48','2026-11-22 09:52:00.000000','2026-11-22 10:07:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[80000, 80000, null, 2520000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2520000,NULL,6,4,'2 EX L','2.52','2026-11-22 09:52:00.000000','2026-11-22 10:10:00.000000','counter',NULL,0,NULL,1,NULL,NULL,'[200000, 200000, null, 2561000, 220000, 290000, 220000, 290000]',NULL);
INSERT INTO "choice" VALUES(2520000,3,7,4,'1 IN R','2.52','2026-11-22 10:01:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:01:00.000000','[70000, 70000, null, 2602000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2560000,4,8,4,'1 EX R','2.56','2026-11-22 10:04:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:04:00.000000','[150000, 180000, null, 2641000, 220000, 290000, 220000, 290000]',NULL);
INSERT INTO "choice" VALUES(2480000,5,9,4,'2 IN R','2.48','2026-11-22 10:07:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:07:00.000000','[80000, 80000, null, 2520000, 100000, 170000, 100000, 170000]',NULL);
INSERT INTO "choice" VALUES(2520000,6,10,4,'2 EX L','2.52','2026-11-22 10:10:00.000000',NULL,'counter',NULL,0,NULL,1,NULL,'2026-11-22 10:10:00.000000','[200000, 200000, null, 2561000, 220000, 290000, 220000, 290000]',NULL);
CREATE TABLE engine (
	id INTEGER NOT NULL, 
	label VARCHAR NOT NULL, 
	note VARCHAR NOT NULL, 
	CONSTRAINT pk_engine PRIMARY KEY (id), 
	CONSTRAINT uq_engine_label UNIQUE (label)
);
INSERT INTO "engine" VALUES(1,'No. 3 · Ollerby Trefoil','Trainer for the upper course; noisy since the autumn');
INSERT INTO "engine" VALUES(2,'No. 8 · Tindle Pentad','Gravel single, five valves; checked each season');
INSERT INTO "engine" VALUES(3,'No. 5 · Varrow Quartet','The instructors'' V-four');
INSERT INTO "engine" VALUES(4,'No. 11 · Corrie Offbeat','Parallel twin, 270 degrees, for the road class');
INSERT INTO "engine" VALUES(5,'No. 2 · Halvern Six outfit','Straight six with the observers'' sidecar');
INSERT INTO "engine" VALUES(6,'No. 9 · Sandrelle Elle','L-twin that closes its own valves');
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
	CONSTRAINT fk_gap_reading_round_id_round FOREIGN KEY(round_id) REFERENCES round (id), 
	CONSTRAINT ck_gap_reading_purpose CHECK (purpose IN ('found', 'proof')), 
	CONSTRAINT fk_gap_reading_supersedes_id_gap_reading FOREIGN KEY(supersedes_id) REFERENCES gap_reading (id)
);
INSERT INTO "gap_reading" VALUES('found','mm','[120000]',NULL,'drag',120000,120000,0,NULL,NULL,1,1,'IN L','12','2025-10-18 09:33:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[80000]',NULL,'drag',80000,80000,0,NULL,NULL,2,1,'IN C','8','2025-10-18 09:36:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[100000]','[130000]',NULL,100000,130000,1,NULL,NULL,3,1,'IN R','10-13','2025-10-18 09:39:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]','[180000]',NULL,150000,180000,1,NULL,NULL,4,1,'EX L','15-18','2025-10-18 09:42:00.000000','2025-10-18 09:48:00.000000',0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[200000]',NULL,'drag',200000,200000,0,NULL,NULL,5,1,'EX R','20','2025-10-18 09:45:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('found','mm','[150000]',NULL,'drag',150000,150000,0,NULL,4,6,1,'EX L','15','2025-10-18 09:48:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[130000]',NULL,'drag',130000,130000,0,NULL,NULL,7,1,'IN C','13','2025-10-18 10:03:00.000000',NULL,0,'[]',0,0,'',1);
INSERT INTO "gap_reading" VALUES('proof','mm','[200000]',NULL,'drag',200000,200000,0,NULL,NULL,8,1,'EX L','20','2025-10-18 10:06:00.000000',NULL,0,'[]',0,0,'',1);
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
	CONSTRAINT fk_piece_reading_supersedes_id_piece_reading FOREIGN KEY(supersedes_id) REFERENCES piece_reading (id), 
	CONSTRAINT fk_piece_reading_round_id_round FOREIGN KEY(round_id) REFERENCES round (id)
);
INSERT INTO "piece_reading" VALUES('185',1850000,1848000,NULL,1,1,'IN C','185 1.848','2025-10-18 09:51:00.000000',NULL,'[1848000]','sound',4000,0,NULL);
INSERT INTO "piece_reading" VALUES('170',1700000,NULL,NULL,2,1,'EX L','170','2025-10-18 09:54:00.000000',NULL,'[]','sound',4000,0,NULL);
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
	CONSTRAINT fk_round_card_id_card FOREIGN KEY(card_id) REFERENCES card (id), 
	CONSTRAINT uq_round_card_id UNIQUE (card_id, number)
);
INSERT INTO "round" VALUES(1,1,1,'2025-10-18 09:30:00.000000','',0);
INSERT INTO "round" VALUES(2,2,1,'2026-11-19 08:40:00.000000','',0);
INSERT INTO "round" VALUES(3,3,1,'2026-11-20 08:40:00.000000','',0);
INSERT INTO "round" VALUES(4,4,1,'2026-11-22 08:40:00.000000','',2);
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
INSERT INTO "shim" VALUES(30,2,NULL,1650000,NULL,1650000,'sound','engine',2,'EX L',NULL,NULL);
INSERT INTO "shim" VALUES(31,2,NULL,1800000,NULL,1800000,'sound','engine',2,'IN C',NULL,NULL);
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
INSERT INTO "shim_move" VALUES(28,28,NULL,'{"where": "engine", "engine_id": 2, "valve": "IN C", "card_id": null, "order_line_id": null}','read on card 1','2025-10-18 09:51:00.000000');
INSERT INTO "shim_move" VALUES(29,29,NULL,'{"where": "engine", "engine_id": 2, "valve": "EX L", "card_id": null, "order_line_id": null}','read on card 1','2025-10-18 09:54:00.000000');
INSERT INTO "shim_move" VALUES(30,29,'{"where": "engine", "engine_id": 2, "valve": "EX L", "card_id": null, "order_line_id": null}','{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','out of EX L, card 1','2025-10-18 10:09:00.000000');
INSERT INTO "shim_move" VALUES(31,28,'{"where": "engine", "engine_id": 2, "valve": "IN C", "card_id": null, "order_line_id": null}','{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','out of IN C, card 1','2025-10-18 10:09:00.000000');
INSERT INTO "shim_move" VALUES(32,30,NULL,'{"where": "engine", "engine_id": 2, "valve": "EX L", "card_id": null, "order_line_id": null}','fitted, card 1','2025-10-18 10:09:00.000000');
INSERT INTO "shim_move" VALUES(33,31,NULL,'{"where": "engine", "engine_id": 2, "valve": "IN C", "card_id": null, "order_line_id": null}','fitted, card 1','2025-10-18 10:09:00.000000');
INSERT INTO "shim_move" VALUES(34,29,'{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','left over, card 1','2025-10-18 10:09:00.000000');
INSERT INTO "shim_move" VALUES(35,28,'{"where": "card", "engine_id": null, "valve": null, "card_id": 1, "order_line_id": null}','{"where": "drawer", "engine_id": null, "valve": null, "card_id": null, "order_line_id": null}','left over, card 1','2025-10-18 10:09:00.000000');
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
	wrench VARCHAR DEFAULT 'N·m' NOT NULL, round_cost VARCHAR, sure INTEGER DEFAULT '90' NOT NULL, keep_days INTEGER DEFAULT '7' NOT NULL, keep_weeks INTEGER DEFAULT '4' NOT NULL, keep_months INTEGER DEFAULT '12' NOT NULL, 
	CONSTRAINT pk_shop PRIMARY KEY (id)
);
INSERT INTO "shop" VALUES(1,'Ostrel Hill Climb School',30000,'loose','nearest','out',2,'N·m',NULL,90,7,4,12);
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
COMMIT;
