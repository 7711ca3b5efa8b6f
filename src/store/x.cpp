int bevel_store_anchor = 0;
