// Tables of values: a model over rows of one type whose columns are functions, and the table that shows them.
#pragma once
#include <algorithm>
#include <functional>
#include <QAbstractTableModel>
#include <QBrush>
#include <QColor>
#include <QHeaderView>
#include <QSortFilterProxyModel>
#include <QTableView>
#include <vector>

namespace bevel::ui {

/// Rows of one type; a column is a headline and what it says of a row. On the interface thread.
template <class Row> class RowsModel : public QAbstractTableModel {
public:
    struct Column {
        QString headline;
        std::function<QString(const Row&)> words;
        std::function<QColor(const Row&)> ink = {}; // an invalid one: as usual
    };
    explicit RowsModel(std::vector<Column> columns, QObject* parent = nullptr)
        : QAbstractTableModel(parent), columns_(std::move(columns)) {}

    /// Other rows. Where nothing but their values changed the view keeps its place.
    void set_rows(std::vector<Row> rows) {
        if (rows.size() == rows_.size()) {
            rows_ = std::move(rows);
            if (!rows_.empty()) emit dataChanged(index(0, 0), index(rowCount() - 1, columnCount() - 1));
            return;
        }
        beginResetModel();
        rows_ = std::move(rows);
        endResetModel();
    }
    const std::vector<Row>& rows() const { return rows_; }
    /// The row of an index of this model; null where it is none.
    const Row* at(const QModelIndex& i) const {
        return i.isValid() && i.row() < rowCount() ? &rows_[static_cast<std::size_t>(i.row())] : nullptr;
    }

    int rowCount(const QModelIndex& parent = {}) const override { return parent.isValid() ? 0 : static_cast<int>(rows_.size()); }
    int columnCount(const QModelIndex& parent = {}) const override { return parent.isValid() ? 0 : static_cast<int>(columns_.size()); }
    QVariant headerData(int section, Qt::Orientation orientation, int role) const override {
        if (orientation != Qt::Horizontal || role != Qt::DisplayRole || section < 0 || section >= columnCount()) return {};
        return columns_[static_cast<std::size_t>(section)].headline;
    }
    QVariant data(const QModelIndex& i, int role) const override {
        const Row* row = at(i);
        if (!row || i.column() >= columnCount()) return {};
        const Column& c = columns_[static_cast<std::size_t>(i.column())];
        switch (role) {
        case Qt::DisplayRole:
        case Qt::AccessibleTextRole:
            return c.words(*row);
        case Qt::ToolTipRole: // escaped: a tool tip guesses what its text is
            return c.words(*row).toHtmlEscaped();
        case Qt::ForegroundRole:
            if (const QColor ink = c.ink ? c.ink(*row) : QColor(); ink.isValid()) return QBrush(ink);
            return {};
        default:
            return {};
        }
    }

private:
    std::vector<Column> columns_;
    std::vector<Row> rows_;
};

/// The rows in which each of the words stands, in any column.
class WordsFilter : public QSortFilterProxyModel {
public:
    using QSortFilterProxyModel::QSortFilterProxyModel;
    void look_for(const QString& words) {
        words_ = words.simplified().split(QLatin1Char(' '), Qt::SkipEmptyParts);
        invalidateFilter();
    }

protected:
    bool filterAcceptsRow(int row, const QModelIndex& parent) const override {
        QString all;
        for (int c = 0; c < sourceModel()->columnCount(parent); ++c)
            all += sourceModel()->index(row, c, parent).data().toString() + QLatin1Char(' ');
        return std::all_of(words_.begin(), words_.end(), [&](const QString& w) { return all.contains(w, Qt::CaseInsensitive); });
    }

private:
    QStringList words_;
};

/// How our tables look and answer: whole rows, one at a time, no grid, nothing to be typed into. `stretch`: the columns that take what is
/// left.
inline QTableView* table_of(QAbstractItemModel* model, const QString& name, const QString& spoken, std::initializer_list<int> stretch) {
    auto* t = new QTableView;
    t->setModel(model);
    if (!model->parent()) model->setParent(t);
    t->setObjectName(name);
    t->setAccessibleName(spoken);
    t->verticalHeader()->hide();
    t->setShowGrid(false);
    t->setEditTriggers(QAbstractItemView::NoEditTriggers);
    t->setSelectionBehavior(QAbstractItemView::SelectRows);
    t->setSelectionMode(QAbstractItemView::SingleSelection);
    t->horizontalHeader()->setDefaultAlignment(Qt::AlignLeft | Qt::AlignVCenter);
    t->horizontalHeader()->setSectionResizeMode(QHeaderView::ResizeToContents);
    for (const int c : stretch) t->horizontalHeader()->setSectionResizeMode(c, QHeaderView::Stretch);
    return t;
}

} // namespace bevel::ui
