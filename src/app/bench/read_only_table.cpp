#include "app/bench/read_only_table.hpp"

#include "app/bench/view_fitter.hpp"

#include <QAction>
#include <QClipboard>
#include <QCoreApplication>
#include <QGuiApplication>
#include <QHeaderView>
#include <QRegularExpression>
#include <algorithm>
#include <vector>

namespace yes_square::app {
namespace {

constexpr int least_column = 34;
constexpr int beside_words = 12; ///< in a cell, of its margins

/// Shares a table's width among its columns so that nothing is cut off: each as broad as its words, and where that is
/// too much the broadest give way and their words take a second line.
class ColumnFitter : public ViewFitter {
public:
    explicit ColumnFitter(QTableWidget& table)
        : ViewFitter{table}
        , table_{table} {}

private:
    void fit() override {
        if (!table_.isVisible())
            return; // when it is shown
        share_width();
        give_headings_room();
        table_.resizeRowsToContents();
    }

    void share_width() {
        const QHeaderView& header = *table_.horizontalHeader();
        std::vector<int> columns;
        std::vector<int> wanted(static_cast<std::size_t>(table_.columnCount()), 0);
        for (int i = 0; i < table_.columnCount(); ++i)
            if (!table_.isColumnHidden(i)) {
                columns.push_back(i);
                wanted[static_cast<std::size_t>(i)] =
                    std::max({least_column, words_width(i), header.sectionSizeHint(i)});
            }
        int room = table_.viewport()->width();
        if (share_by_words(columns, wanted, room))
            return;
        // The narrow ones take what they need; what is left is shared by the others.
        std::ranges::sort(columns, {}, [&](int i) { return wanted[static_cast<std::size_t>(i)]; });
        for (std::size_t k = 0; k < columns.size(); ++k) {
            const int share = room / static_cast<int>(columns.size() - k);
            const bool last = k + 1 == columns.size();
            const int width = last ? room : std::min(wanted[static_cast<std::size_t>(columns[k])], share);
            table_.setColumnWidth(columns[k], std::max(least_column, width));
            room -= table_.columnWidth(columns[k]);
        }
    }

    /// A heading takes lines as a cell does; Qt has room for one.
    void give_headings_room() {
        QHeaderView& header = *table_.horizontalHeader();
        const QFontMetrics metrics{heading_font()};
        int lines = 1;
        for (int i = 0; i < table_.columnCount(); ++i)
            if (const QTableWidgetItem* head = table_.horizontalHeaderItem(i); head && !table_.isColumnHidden(i))
                lines = std::max(lines, metrics.boundingRect(0, 0, header.sectionSize(i) - beside_words, 1000,
                                                             Qt::TextWordWrap, head->text())
                                                .height() /
                                            metrics.lineSpacing());
        header.setFixedHeight(header.sizeHint().height() + (lines - 1) * metrics.lineSpacing());
    }

    QFont heading_font() const {
        QFont bold = table_.horizontalHeader()->font();
        bold.setBold(true);
        return bold;
    }

    /// Where there is room for the longest word of each, no word is cut: what is left goes to those that want more.
    bool share_by_words(const std::vector<int>& columns, const std::vector<int>& wanted, int room) {
        std::vector<int> widths(wanted.size(), 0);
        int taken = 0;
        int wish = 0;
        for (const int i : columns) {
            const auto at = static_cast<std::size_t>(i);
            widths[at] = std::min(wanted[at], std::max(least_column, longest_word(i)));
            taken += widths[at];
            wish += wanted[at] - widths[at];
        }
        if (taken > room)
            return false;
        const int spare = room - taken;
        for (const int i : columns) {
            const auto at = static_cast<std::size_t>(i);
            widths[at] += wish > 0 ? (wanted[at] - widths[at]) * std::min(spare, wish) / wish : 0;
        }
        int left = room;
        for (const int i : columns)
            left -= widths[static_cast<std::size_t>(i)];
        for (const int i : columns)
            table_.setColumnWidth(i,
                                  widths[static_cast<std::size_t>(i)] + (i == columns.back() ? std::max(0, left) : 0));
        return true;
    }

    int longest_word(int column) const {
        static const QRegularExpression between_words{"(?<![0-9]) "}; // a figure and its unit are one
        int widest = 0;
        const auto look = [&](const QString& words, const QFontMetrics& metrics) {
            for (const QString& word : words.split(between_words))
                widest = std::max(widest, metrics.horizontalAdvance(word) + beside_words);
        };
        if (const QTableWidgetItem* head = table_.horizontalHeaderItem(column))
            look(head->text(), QFontMetrics{heading_font()});
        for (int row = 0; row < table_.rowCount(); ++row)
            if (const QTableWidgetItem* item = table_.item(row, column))
                look(item->text(), table_.fontMetrics());
        return widest;
    }

    int words_width(int column) const {
        int widest = 0;
        const QFontMetrics metrics = table_.fontMetrics();
        for (int row = 0; row < table_.rowCount(); ++row)
            if (const QTableWidgetItem* item = table_.item(row, column))
                widest = std::max(widest, metrics.horizontalAdvance(item->text()) + beside_words);
        return widest;
    }

    QTableWidget& table_;
};

} // namespace

QString table_text(const QTableWidget& table) {
    QStringList lines;
    const auto add = [&](const auto& cell) {
        QStringList cells;
        for (int column = 0; column < table.columnCount(); ++column)
            if (!table.isColumnHidden(column)) {
                // A cell that a spreadsheet would reckon is kept from it.
                QString words = cell(column).simplified();
                if (!words.isEmpty() && QStringLiteral("=+-@").contains(words.front()) && words.size() > 1 &&
                    !words[1].isDigit())
                    words.prepend(u'\'');
                cells << words;
            }
        lines << cells.join(u'\t');
    };
    add([&](int column) {
        const QTableWidgetItem* head = table.horizontalHeaderItem(column);
        return head ? head->text() : QString{};
    });
    for (int row = 0; row < table.rowCount(); ++row)
        if (!table.isRowHidden(row))
            add([&](int column) {
                const QTableWidgetItem* item = table.item(row, column);
                return item ? item->text() : QString{};
            });
    return lines.join(u'\n') + u'\n';
}

QTableWidget* read_only_table(const QStringList& headings, const char* name, QWidget* parent) {
    auto* table = new QTableWidget{0, static_cast<int>(headings.size()), parent};
    table->setHorizontalHeaderLabels(headings);
    table->setObjectName(QString::fromLatin1(name));
    table->setAccessibleName(headings.join(QStringLiteral(", "))); // until its maker knows a better one
    table->verticalHeader()->hide();
    table->setEditTriggers(QAbstractItemView::NoEditTriggers);
    table->setSelectionBehavior(QAbstractItemView::SelectRows);
    table->setSelectionMode(QAbstractItemView::SingleSelection);
    table->setWordWrap(true);
    table->setTextElideMode(Qt::ElideNone);
    table->horizontalHeader()->setSectionResizeMode(QHeaderView::Fixed);
    table->horizontalHeader()->setMinimumSectionSize(least_column);
    table->horizontalHeader()->setDefaultAlignment(
        Qt::Alignment::fromInt(int{Qt::AlignLeft} | int{Qt::AlignVCenter} | int{Qt::TextWordWrap}));
    table->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    new ColumnFitter{*table};
    auto* copied = new QAction{QCoreApplication::translate("Tables", "Copy this table"), table};
    copied->setObjectName(QStringLiteral("copy-table"));
    QObject::connect(copied, &QAction::triggered, table,
                     [table] { QGuiApplication::clipboard()->setText(table_text(*table)); });
    table->addAction(copied);
    table->setContextMenuPolicy(Qt::ActionsContextMenu);
    return table;
}

void add_row(QTableWidget* table, const QStringList& cells, const QVariant& data) {
    const int row = table->rowCount();
    table->insertRow(row);
    for (int column = 0; column < cells.size(); ++column) {
        auto* item = new QTableWidgetItem{cells[column]};
        item->setData(Qt::UserRole, data);
        table->setItem(row, column, item);
    }
}

} // namespace yes_square::app
