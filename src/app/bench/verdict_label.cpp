#include "app/bench/verdict_label.hpp"

#include "app/bench/theme.hpp"

#include <QVBoxLayout>

namespace yes_square::app {

VerdictLabel::VerdictLabel(const char* name, QWidget* parent)
    : QWidget{parent}
    , verdict_{new QLabel{this}}
    , lines_{new QLabel{this}} {
    verdict_->setObjectName(QString::fromLatin1(name));
    verdict_->setProperty("role", "figure");
    lines_->setObjectName(QStringLiteral("%1-lines").arg(QString::fromLatin1(name)));
    lines_->setWordWrap(true);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(2);
    column->addWidget(verdict_);
    column->addWidget(lines_);
}

void VerdictLabel::tell(const QString& verdict, bool bad, const QStringList& lines) {
    verdict_->setText(verdict);
    set_flag(*verdict_, "alarm", bad);
    lines_->setText(lines.join(QLatin1Char('\n')));
}

} // namespace yes_square::app
