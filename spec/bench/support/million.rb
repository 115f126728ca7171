# frozen_string_literal: true

# Fills the studio's table with many records of a mixed kind, past the rules: what is
# measured is how they are read.
def fill_pieces(count)
  UpTack::Store::Database.connection.execute(<<~SQL)
    WITH RECURSIVE n(i) AS (SELECT 1 UNION ALL SELECT i + 1 FROM n WHERE i < #{count})
    INSERT INTO pieces (tag, piece, maker, clay, tare, wet, firing, peak, received, collect_by, made_by,
      changed_on, edits, note)
    SELECT printf('PC-%07d', i),
      CASE i % 5 WHEN 0 THEN 'Soup bowl' WHEN 1 THEN 'Lidded jar' WHEN 2 THEN 'Butter dish' WHEN 3 THEN 'mug'
        ELSE 'Tall vase, no. ' || (i * 7919 % 1000003) END,
      'Member ' || (i * 31 % 997), 100 + (i * 7919 % 70001) / 100.0, 55, 155 + (i * 7919 % 70001) / 100.0,
      CASE i % 4 WHEN 0 THEN 'Bisque' WHEN 1 THEN 'Glaze' WHEN 2 THEN 'Lustre' ELSE 'Raku' END,
      600 + i * 104729 % 701, date('2020-01-01', (i * 13 % 2500) || ' days'),
      date('2020-01-15', (i * 13 % 2500) || ' days'), 'Odile Marsh', '2026-11-23 09:30:00', i % 7,
      CASE i % 3 WHEN 0 THEN NULL ELSE 'Shelf ' || (i % 90) END FROM n
  SQL
end
