// What a table shows, as a test reads it.
#pragma once
#include "ui/shell/rows_model.h"

namespace bevel {

inline QString cell(const QAbstractItemView* table, int row, int column) {
    return table->model()->index(row, column).data().toString();
}
inline int rows(const QAbstractItemView* table) {
    return table->model()->rowCount();
}
/// The value behind a row of a table that is shown unfiltered.
template <class Row> const Row& value(const QAbstractItemView* table, int row) {
    return dynamic_cast<const ui::RowsModel<Row>&>(*table->model()).rows()[static_cast<std::size_t>(row)];
}

} // namespace bevel
