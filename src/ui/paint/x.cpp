int bevel_paint_anchor = 0;
