-- What a reading was counted from where that was stated: depth plus length, length minus protrusion, or a new brush. The
-- lengths of older readings stay as they were worked out.
alter table reading add column reference_mm real;
