-- How many blocks were given from one is asked wherever a block is read.
create index block_given_from on block (given_from) where given_from is not null;
