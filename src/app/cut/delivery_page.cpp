#include "app/cut/delivery_page.hpp"

#include "app/bench/grown.hpp"
#include "app/bench/read_only_table.hpp"
#include "core/cutting/delivery.hpp"

#include <QGridLayout>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

QString words_of(const DeliveryLine& line) {
    switch (line.received) {
    case Received::unchecked:
        return DeliveryPage::tr("not checked");
    case Received::whole:
        return DeliveryPage::tr("whole");
    case Received::short_of:
        return DeliveryPage::tr("short: %1").arg(line.sound);
    case Received::wrong:
        return DeliveryPage::tr("wrong: %1").arg(line.sound);
    case Received::damaged:
        return DeliveryPage::tr("damaged: %1").arg(line.sound);
    }
    return {};
}

} // namespace

DeliveryPage::DeliveryPage(Workbench& bench, Day& day, QWidget* parent)
    : QWidget{parent}
    , bench_{bench}
    , day_{day}
    , table_{read_only_table({tr("Code"), tr("Part"), tr("Of"), tr("Found")}, "delivery", this)}
    , sound_{new QSpinBox{this}}
    , findings_{new QLabel{this}} {
    auto* take_in = new QPushButton{tr("Take in a packing list (CSV)..."), this};
    take_in->setObjectName(QStringLiteral("take-packing-list"));
    connect(take_in, &QPushButton::clicked, this, &DeliveryPage::packing_list_wanted);
    auto* grid = new QGridLayout;
    const auto button = [&](int at, const QString& words, const char* name, Received received) {
        auto* made = new QPushButton{words, this};
        made->setObjectName(QString::fromLatin1(name));
        made->setMinimumWidth(1);
        connect(made, &QPushButton::clicked, this, [this, received] { mark(received); });
        grid->addWidget(made, at / 2, at % 2);
    };
    button(0, tr("Whole"), "received-whole", Received::whole);
    button(1, tr("Short"), "received-short", Received::short_of);
    button(2, tr("Wrong"), "received-wrong", Received::wrong);
    button(3, tr("Damaged"), "received-damaged", Received::damaged);
    sound_->setRange(0, 1000);
    sound_->setObjectName(QStringLiteral("received-sound"));
    sound_->setPrefix(tr("Sound ones: "));
    grid->addWidget(sound_, 2, 0, 1, 2);
    findings_->setWordWrap(true);
    findings_->setObjectName(QStringLiteral("delivery-findings"));
    findings_->setAlignment(Qt::AlignTop);
    grow_to_rows(*table_);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 6, 0, 0);
    column->addWidget(take_in);
    column->addLayout(grid);
    column->addWidget(table_);
    column->addWidget(findings_);
    column->addStretch(1);
    refresh();
}

QString DeliveryPage::take(const std::string& csv) {
    auto list = packing_list_from_csv(csv);
    if (!list)
        return text(list.error());
    bench_.edit(tr("Take in a packing list"), [&](Job& job) { job.delivery = std::move(*list); });
    refresh();
    return {};
}

void DeliveryPage::refresh() {
    const int chosen = std::max(0, table_->currentRow());
    table_->setRowCount(0);
    for (const DeliveryLine& line : bench_.job().delivery)
        add_row(table_, {text(line.code), text(line.name), QString::number(line.listed), words_of(line)});
    if (table_->rowCount() > 0)
        table_->setCurrentCell(std::min(chosen, table_->rowCount() - 1), 0);
    const Voice voice = bench_.voice();
    QStringList lines;
    for (const DeliveryFinding& finding : check_delivery(bench_.job(), bench_.plan())) {
        QString words = text(say(finding.problem, voice));
        QStringList stops;
        for (const Sentence& stop : finding.stops)
            stops << text(say(stop, voice));
        if (!stops.isEmpty())
            words += tr(". It stops: %1").arg(stops.join(QStringLiteral("; ")));
        lines << words;
    }
    findings_->setText(bench_.job().delivery.empty() ? tr("No packing list yet.")
                       : lines.isEmpty()             ? tr("All of it is there.")
                                                     : lines.join(QStringLiteral("\n\n")));
}

/// And on to the next line, so that a pile is checked without the mouse leaving the button.
void DeliveryPage::mark(Received received) {
    const int row = table_->currentRow();
    if (row < 0 || row >= static_cast<int>(bench_.job().delivery.size()))
        return;
    const int sound = sound_->value();
    bench_.edit(tr("Check a delivered part"), [&](Job& job) {
        DeliveryLine& line = job.delivery[static_cast<std::size_t>(row)];
        line.received = received;
        line.sound = received == Received::whole ? line.listed : std::min(sound, line.listed);
        if (received != Received::whole)
            write_log(job, LogKind::delivery, {},
                      tr("%1 %2: %3 of %4")
                          .arg(text(line.code), text(line.name), words_of(line))
                          .arg(line.listed)
                          .toStdString(),
                      day_.stamp());
    });
    refresh();
    table_->setCurrentCell(std::min(row + 1, table_->rowCount() - 1), 0);
    sound_->setValue(0);
}

} // namespace yes_square::app
