-- A rule that a shop had set for itself before changes of ground were kept is one like the others: until somebody
-- confirms it, what it judges milder bars a certificate.
insert into moved (id, kind, name, scope, scope_id, before_json, after_json, answer, source, act_id)
select o.act_id || '.' || o.rule_id, 'rule', o.rule_id, o.scope, o.scope_id, 'null',
       json_quote(o.value_in_rule_unit), '', o.why, o.act_id
from rule_override o
where o.ended_act_id is null and o.word = ''
  and not exists (select 1 from moved m where m.kind = 'rule' and m.name = o.rule_id and m.scope = o.scope
                  and m.scope_id = o.scope_id and m.ended_act_id is null);
