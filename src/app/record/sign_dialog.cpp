#include "app/record/sign_dialog.hpp"

#include <QDialogButtonBox>
#include <QFormLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QPushButton>
#include <sstream>

namespace yes_square::app {
namespace {

constexpr double field_width = 1000;
constexpr double field_height = 300;

} // namespace

QPainterPath signature_path(const std::string& strokes) {
    QPainterPath path;
    std::istringstream words{strokes};
    char command = 0;
    double x = 0;
    double y = 0;
    while (words >> command >> x >> y)
        if (command == 'M')
            path.moveTo(x, y);
        else if (command == 'L')
            path.lineTo(x, y);
    return path;
}

SignaturePad::SignaturePad(QWidget* parent)
    : QWidget{parent} {
    setObjectName(QStringLiteral("signature"));
    setMinimumSize(400, 120);
    setCursor(Qt::CrossCursor);
}

void SignaturePad::clear() {
    strokes_.clear();
    update();
}

void SignaturePad::add(char command, QPointF at) {
    std::ostringstream words;
    words << (strokes_.empty() ? "" : " ") << command << ' ' << qRound(at.x() / width() * field_width) << ' '
          << qRound(at.y() / height() * field_height);
    strokes_ += words.str();
    update();
}

void SignaturePad::mousePressEvent(QMouseEvent* event) {
    add('M', event->position());
}

void SignaturePad::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        add('L', event->position());
}

void SignaturePad::paintEvent(QPaintEvent*) {
    QPainter painter{this};
    painter.setRenderHint(QPainter::Antialiasing);
    painter.fillRect(rect(), palette().base());
    painter.setPen(palette().mid().color());
    painter.drawRect(rect().adjusted(0, 0, -1, -1));
    painter.drawLine(12, height() * 3 / 4, width() - 12, height() * 3 / 4);
    painter.scale(width() / field_width, height() / field_height);
    QPen pen{palette().text().color(), 4};
    pen.setCapStyle(Qt::RoundCap);
    painter.setPen(pen);
    painter.drawPath(signature_path(strokes_));
}

SignDialog::SignDialog(const QString& name, QWidget* parent)
    : QDialog{parent}
    , name_{new QLineEdit{name, this}}
    , what_{new QLineEdit{tr("Work handed over as recorded"), this}}
    , pad_{new SignaturePad{this}} {
    setWindowTitle(tr("Sign"));
    name_->setObjectName(QStringLiteral("sign-name"));
    what_->setObjectName(QStringLiteral("sign-what"));
    auto* form = new QFormLayout{this};
    form->addRow(tr("Name"), name_);
    form->addRow(tr("Signs for"), what_);
    form->addRow(tr("Drawn, or leave it to the name"), pad_);
    auto* again = new QPushButton{tr("Draw it again"), this};
    connect(again, &QPushButton::clicked, pad_, &SignaturePad::clear);
    form->addRow(QString{}, again);
    auto* buttons = new QDialogButtonBox{QDialogButtonBox::Ok | QDialogButtonBox::Cancel, this};
    buttons->button(QDialogButtonBox::Ok)->setText(tr("Sign"));
    connect(buttons, &QDialogButtonBox::accepted, this, &QDialog::accept);
    connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
    const auto named = [this, buttons] { buttons->button(QDialogButtonBox::Ok)->setEnabled(!this->name().isEmpty()); };
    connect(name_, &QLineEdit::textChanged, this, named);
    named();
    form->addRow(buttons);
}

} // namespace yes_square::app
