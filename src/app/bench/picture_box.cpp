#include "app/bench/picture_box.hpp"

#include "core/job/ranges.hpp"

#include <QBuffer>
#include <QDragEnterEvent>
#include <QDropEvent>
#include <QFileDialog>
#include <QImageReader>
#include <QMimeData>
#include <QVBoxLayout>

namespace yes_square::app {
namespace {

constexpr int most_pixels = 320;
constexpr int shown_width = 170;
constexpr int shown_height = 130;

/// The first file of what is dragged; empty: there is none.
QString dragged_file(const QMimeData& data) {
    for (const QUrl& url : data.urls())
        if (url.isLocalFile())
            return url.toLocalFile();
    return {};
}

} // namespace

QString kept_picture(const QImage& image) {
    for (int most = most_pixels; most >= 40 && !image.isNull(); most = most * 3 / 4) {
        const bool large = image.width() > most || image.height() > most;
        const QImage small = large ? image.scaled(most, most, Qt::KeepAspectRatio, Qt::SmoothTransformation) : image;
        QBuffer file;
        file.open(QIODevice::WriteOnly);
        small.save(&file, "PNG");
        const QByteArray kept = file.data().toBase64();
        if (kept.size() <= static_cast<qsizetype>(longest_picture))
            return QString::fromLatin1(kept);
    }
    return {};
}

QImage picture_of(const std::string& kept) {
    return QImage::fromData(QByteArray::fromBase64(QByteArray::fromStdString(kept)), "PNG");
}

PictureBox::PictureBox(const QString& name, std::function<void(const QString&)> changed, QWidget* parent)
    : QWidget{parent}
    , changed_{std::move(changed)}
    , picture_{new QLabel{this}}
    , choose_{new QPushButton{tr("My picture of it..."), this}}
    , remove_{new QPushButton{tr("Take the picture away"), this}} {
    setAcceptDrops(true);
    picture_->setObjectName(name + QStringLiteral("-picture"));
    picture_->setAlignment(Qt::AlignCenter);
    picture_->setMinimumSize(shown_width, shown_height);
    picture_->setWordWrap(true);
    choose_->setObjectName(name + QStringLiteral("-choose-picture"));
    remove_->setObjectName(name + QStringLiteral("-remove-picture"));
    for (QPushButton* button : {choose_, remove_})
        button->setAutoDefault(false); // Enter in a field goes on to the next
    auto* column = new QVBoxLayout{this};
    column->setContentsMargins(0, 0, 0, 0);
    column->addWidget(picture_, 1);
    column->addWidget(choose_);
    column->addWidget(remove_);
    connect(choose_, &QPushButton::clicked, this, [this] {
        const QString path =
            QFileDialog::getOpenFileName(this, tr("Picture of it"), {}, tr("Pictures (*.png *.jpg *.jpeg *.webp)"));
        if (!path.isEmpty())
            take(path);
    });
    connect(remove_, &QPushButton::clicked, this, [this] { changed_({}); });
}

void PictureBox::ask_for(const QString& words) {
    choose_->setText(words);
}

void PictureBox::show_picture(const std::string& kept, bool own) {
    own_ = own;
    setVisible(own || !kept.empty());
    choose_->setVisible(own);
    remove_->setVisible(own && !kept.empty());
    const QImage image = picture_of(kept);
    if (image.isNull()) {
        picture_->setPixmap({});
        picture_->setText(kept.empty() ? tr("No picture yet: choose one, or drop it here")
                                       : tr("Its picture cannot be read: choose it again"));
        return;
    }
    picture_->setAccessibleName(tr("Your picture of it"));
    const double ratio = devicePixelRatioF();
    QPixmap shown = QPixmap::fromImage(
        image.scaled(QSize{shown_width, shown_height} * ratio, Qt::KeepAspectRatio, Qt::SmoothTransformation));
    shown.setDevicePixelRatio(ratio);
    picture_->setPixmap(shown);
}

void PictureBox::take(const QString& path) {
    QImageReader reader{path};
    reader.setAutoTransform(true); // as it was held
    const QImage image = reader.read();
    const QString kept = kept_picture(image);
    if (kept.isEmpty()) {
        picture_->setPixmap({});
        picture_->setText(tr("%1 is no picture that can be read: take a PNG or a JPEG").arg(path));
        return;
    }
    changed_(kept);
}

void PictureBox::dragEnterEvent(QDragEnterEvent* event) {
    if (own_ && !dragged_file(*event->mimeData()).isEmpty())
        event->acceptProposedAction();
}

void PictureBox::dropEvent(QDropEvent* event) {
    take(dragged_file(*event->mimeData()));
}

} // namespace yes_square::app
