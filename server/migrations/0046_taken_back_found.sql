-- Whether a word of pain was taken back is asked of every student listed.

create index card_tick_takes_back on card_tick (academy_id, card_id, ticked_on) where takes_back;
