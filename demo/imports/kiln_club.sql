-- A small club next door, as its program wrote it down.
PRAGMA foreign_keys=OFF;
BEGIN TRANSACTION;
CREATE TABLE potters (
  id INTEGER PRIMARY KEY,
  full_name VARCHAR(60) NOT NULL,
  email VARCHAR(80) UNIQUE,
  joined DATE,
  active BOOLEAN NOT NULL DEFAULT 1,
  mentor_id INTEGER REFERENCES potters(id)
);
INSERT INTO potters VALUES(101,'Anwen Example','anwen@club.example','2021-03-14',1,NULL);
INSERT INTO potters VALUES(103,'Bela Example','bela@club.example','2022-05-02',1,101);
INSERT INTO potters VALUES(105,'Corin Example',NULL,'2019-11-30',0,101);
INSERT INTO potters VALUES(107,'Dara Example','dara@club.example','2024-01-08',1,109);
INSERT INTO potters VALUES(109,'Edda Example','edda@club.example',NULL,1,103);
CREATE TABLE courses (
  code TEXT PRIMARY KEY,
  title TEXT NOT NULL,
  level TEXT CHECK (level IN ('Beginner', 'Advanced')),
  seats INTEGER CHECK (seats BETWEEN 1 AND 20),
  starts_on DATE,
  ends_on DATE,
  CHECK (ends_on >= starts_on)
);
INSERT INTO courses VALUES('W-101','Throwing','Beginner',6,'2026-01-05','2026-01-07');
INSERT INTO courses VALUES('W-102','Glazing; dipping & pouring','Beginner',8,'2026-02-05','2026-02-06');
INSERT INTO courses VALUES('W-103','Raku','Advanced',5,'2026-03-05','2026-03-05');
CREATE TABLE bookings (
  id INTEGER PRIMARY KEY,
  potter_id INTEGER NOT NULL REFERENCES potters(id),
  course_code TEXT NOT NULL REFERENCES courses(code),
  paid NUMERIC(8,2) DEFAULT 0,
  booked_at TIMESTAMP,
  note TEXT,
  UNIQUE (potter_id, course_code)
);
INSERT INTO bookings VALUES(501,101,'W-101',45.5,'2025-12-10 10:30:00','pays at the door');
INSERT INTO bookings VALUES(502,101,'W-102',45.5,'2025-12-10 10:31:00',NULL);
INSERT INTO bookings VALUES(503,103,'W-101',0,'2025-12-12 16:02:00','it''s a present');
INSERT INTO bookings VALUES(504,107,'W-103',60,'2026-01-04 08:00:00',NULL);
INSERT INTO bookings VALUES(505,105,'W-102',45.5,'2026-01-11 19:45:00',replace('no clay dust\nplease','\n',char(10)));
INSERT INTO bookings VALUES(506,109,'W-103',60,'2026-02-01 12:00:00',NULL);
CREATE VIEW full_courses AS SELECT * FROM courses;
COMMIT;
