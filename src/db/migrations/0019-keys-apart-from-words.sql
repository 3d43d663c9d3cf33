-- This migration's own changes are checked first: a table with checks to come is not altered.
set constraints all immediate;

-- Why, and what the model said, are kept as keys from now on: a better word for one changes no record.
alter table look drop constraint look_model_judgement_check;

update look set
  reasons = (
    select coalesce(jsonb_agg(
      case reason
        when 'can’t say in this light' then 'not-in-this-light'
        when 'can’t judge from here' then 'not-from-here'
        else replace(reason, ' ', '-')
      end order by place), '[]')
    from jsonb_array_elements_text(reasons) with ordinality as said (reason, place)
  ),
  model_judgement = case model_judgement
    when 'works likely' then 'likely-works' when 'no likely' then 'likely-not' else model_judgement end
where reasons <> '[]' or model_judgement in ('works likely', 'no likely');

alter table look add constraint look_model_judgement_check
  check (model_judgement in ('works', 'likely-works', 'unsure', 'likely-not', 'no'));

update finish_look set model = jsonb_set(model, '{judgement}',
  to_jsonb(case model ->> 'judgement' when 'works likely' then 'likely-works' else 'likely-not' end))
where model ->> 'judgement' in ('works likely', 'no likely');
