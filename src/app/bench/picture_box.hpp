#pragma once

#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <functional>

class QImage;

namespace yes_square::app {

/// A picture as an entry keeps it: no more than 320 pixels either way, a PNG in base64. Empty: there is none in it.
QString kept_picture(const QImage& image);
/// The picture that an entry keeps; null: none, or it cannot be read.
QImage picture_of(const std::string& kept);

/// The fitter's own picture of something that the job keeps: taken from a file or dropped on it, and taken away.
class PictureBox : public QWidget {
    Q_OBJECT
public:
    /// @param changed  told of each new picture, as it is kept
    PictureBox(const QString& name, std::function<void(const QString&)> changed, QWidget* parent);

    /// @param own  whether the entry is the fitter's own: what ships has no picture
    void show_picture(const std::string& kept, bool own);
    /// What its button says, where it is no picture of a thing.
    void ask_for(const QString& words);
    /// From a file. What is wrong is said here.
    void take(const QString& path);

protected:
    void dragEnterEvent(QDragEnterEvent* event) override;
    void dropEvent(QDropEvent* event) override;

private:
    std::function<void(const QString&)> changed_;
    QLabel* picture_;
    QPushButton* choose_;
    QPushButton* remove_;
    bool own_ = false;
};

} // namespace yes_square::app
