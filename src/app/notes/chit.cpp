#include "app/notes/chit.hpp"

#include "app/bench/heading.hpp"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QScrollBar>
#include <QTextDocument>
#include <QVBoxLayout>
#include <algorithm>

namespace yes_square::app {
namespace {

constexpr int chit_width_in_type = 32; ///< type sizes
constexpr int off = 18;                ///< px from the figure, so that it stays in sight
constexpr double most_of_wall = 0.86;

} // namespace

Chit::Chit(Document* sum, QWidget* wall)
    : QFrame{wall}
    , sum_{sum} {
    setProperty("role", "chit");
    setFocusPolicy(Qt::StrongFocus);
    setAccessibleName(tr("A sum"));
    setCursor(Qt::SizeAllCursor);
    sum->setParent(this);
    sum->setCursor(Qt::ArrowCursor);
    sum->setFrameShape(QFrame::NoFrame);
    sum->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(10, 4, 6, 8);
    column->setSpacing(2);
    auto* tools = new QHBoxLayout;
    tools->setSpacing(2);
    auto* heading = heading_label(tr("How it is worked out"), this);
    heading->setWordWrap(false);
    tools->addWidget(heading);
    tools->addStretch(1);
    tools_ = tools;
    column->addLayout(tools);
    column->addWidget(sum);
    hide();
}

QToolButton* Chit::add_tool(const QString& sign, const QString& what, const char* name) {
    auto* button = new QToolButton{this};
    button->setText(sign);
    button->setToolTip(what);
    button->setAccessibleName(what);
    button->setObjectName(QString::fromLatin1(name));
    button->setCursor(Qt::ArrowCursor);
    button->setProperty("role", "quiet");
    tools_->addWidget(button);
    return button;
}

void Chit::fit() {
    const QSize room = parentWidget()->size();
    const int most = static_cast<int>(most_of_wall * room.height());
    resize(std::min(chit_width_in_type * font().pixelSize(), room.width() - 16), most);
    layout()->activate();
    // What the sum leaves empty goes; what has no room on the wall is scrolled.
    const int spare = sum_->viewport()->height() - qRound(sum_->document()->size().height());
    resize(width(), std::min(most, most - spare));
    sum_->verticalScrollBar()->setValue(0); // a sum is read from its top
    move(std::clamp(x(), 4, std::max(4, room.width() - width() - 4)),
         std::clamp(y(), 4, std::max(4, room.height() - height() - 4)));
}

void Chit::lie_beside(QPoint place) {
    fit();
    const QSize room = parentWidget()->size();
    // At whichever side of the figure it fits without lying on it.
    const bool right = place.x() + off + width() <= room.width() || place.x() < room.width() / 2;
    move(right ? place.x() + off : place.x() - off - width(), place.y() - height() / 3);
    fit();
}

void Chit::mousePressEvent(QMouseEvent* event) {
    grabbed_ = event->position().toPoint();
    setFocus(Qt::MouseFocusReason);
    raise();
}

void Chit::mouseMoveEvent(QMouseEvent* event) {
    if (event->buttons() & Qt::LeftButton)
        move(mapToParent(event->position().toPoint() - grabbed_));
}

void Chit::keyPressEvent(QKeyEvent* event) {
    switch (event->key()) {
    case Qt::Key_Escape:
        emit put_away();
        return;
    case Qt::Key_Left:
    case Qt::Key_Up:
        emit walked(-1);
        return;
    case Qt::Key_Right:
    case Qt::Key_Down:
        emit walked(1);
        return;
    default:
        QFrame::keyPressEvent(event);
    }
}

Chits::Chits(Workbench& bench, QWidget& wall, std::function<std::optional<QPoint>()> asked_at)
    : QObject{&wall}
    , bench_{bench}
    , wall_{wall}
    , asked_at_{std::move(asked_at)}
    , sum_{new ScrapPanel{bench}}
    , chit_{new Chit{sum_, &wall}} {
    chit_->setObjectName(QStringLiteral("chit"));
    const auto tool = [this](const QString& sign, const QString& what, const char* name, auto&& act) {
        connect(chit_->add_tool(sign, what, name), &QToolButton::clicked, this, act);
    };
    tool(QStringLiteral("\u2039"), tr("The sum before"), "chit-before", [this] { walk(-1); });
    tool(QStringLiteral("\u203a"), tr("The next sum"), "chit-next", [this] { walk(1); });
    tool(tr("Pin"), tr("Leave this sum here and ask for others beside it"), "chit-pin", [this] { pin(); });
    tool(tr("Print"), tr("Print this sum"), "chit-print", [this] { emit print_wanted(chit_->sum().document()); });
    tool(QStringLiteral("\u00d7"), tr("Put it away"), "chit-close", [this] { put_away(); });
    connect(chit_, &Chit::put_away, this, &Chits::put_away);
    connect(chit_, &Chit::walked, this, &Chits::walk);
    connect(&bench_, &Workbench::subject_changed, this, &Chits::follow);
    connect(&bench_, &Workbench::changed, this, [this] { chit_->isVisible() ? chit_->fit() : void(); });
    connect(&bench_, &Workbench::selection_changed, this, &Chits::put_away);
}

void Chits::follow() {
    if (!bench_.subject().empty() || bench_.shown_working())
        show();
}

void Chits::show() {
    const bool moved = chit_->isVisible() && chit_->hasFocus();
    sum_->refresh(); // so that the chit is as high as the sum that is asked for now
    const std::optional<QPoint> at = asked_at_();
    chit_->show();
    if (at)
        chit_->lie_beside(*at);
    else if (moved)
        chit_->fit();
    else
        chit_->lie_beside({wall_.width(), wall_.height() / 3});
    chit_->raise();
}

void Chits::put_away() {
    if (chit_->hasFocus() || chit_->isAncestorOf(chit_->focusWidget()))
        wall_.setFocus();
    chit_->hide();
}

void Chits::pin() {
    auto* words = new Document;
    words->setHtml(chit_->sum().toHtml());
    words->document()->setDocumentMargin(2);
    words->setObjectName(QStringLiteral("pinned-sum"));
    auto* copy = new Chit{words, &wall_};
    copy->setObjectName(QStringLiteral("pinned-chit"));
    connect(copy->add_tool(tr("Print"), tr("Print this sum"), "pinned-print"), &QToolButton::clicked, this,
            [this, copy] { emit print_wanted(copy->sum().document()); });
    connect(copy->add_tool(QStringLiteral("\u00d7"), tr("Put it away"), "pinned-close"), &QToolButton::clicked, copy,
            &QObject::deleteLater);
    connect(copy, &Chit::put_away, copy, &QObject::deleteLater);
    copy->move(chit_->pos());
    copy->show();
    copy->fit();
    put_away();
}

void Chits::walk(int by) {
    const std::vector<Working>* all = sums_in_hand(bench_);
    if (!all)
        return;
    const auto now = std::ranges::find(*all, bench_.subject(), &Working::subject);
    const auto count = static_cast<std::ptrdiff_t>(all->size());
    const auto at = now == all->end() ? (by > 0 ? -1 : 0) : now - all->begin();
    bench_.ask((*all)[static_cast<std::size_t>(((at + by) % count + count) % count)].subject);
}

} // namespace yes_square::app
