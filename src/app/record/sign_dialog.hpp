#pragma once

#include <QDialog>
#include <QLineEdit>
#include <QPainterPath>
#include <QWidget>

namespace yes_square::app {

/// A field to draw a signature in; what is drawn is an SVG path in a field 1000 wide and 300 high.
class SignaturePad : public QWidget {
    Q_OBJECT
public:
    explicit SignaturePad(QWidget* parent = nullptr);
    std::string strokes() const { return strokes_; }
    void clear();

protected:
    void paintEvent(QPaintEvent* event) override;
    void mousePressEvent(QMouseEvent* event) override;
    void mouseMoveEvent(QMouseEvent* event) override;

private:
    void add(char command, QPointF at);
    std::string strokes_;
};

/// The path of a signature, in its field of 1000 by 300. What cannot be read is left out.
QPainterPath signature_path(const std::string& strokes);

/// Name, what is signed for, and the signature: drawn, or the name alone.
class SignDialog : public QDialog {
    Q_OBJECT
public:
    SignDialog(const QString& name, QWidget* parent);
    QString name() const { return name_->text().trimmed(); }
    QString what() const { return what_->text().trimmed(); }
    std::string strokes() const { return pad_->strokes(); }

private:
    QLineEdit* name_;
    QLineEdit* what_;
    SignaturePad* pad_;
};

} // namespace yes_square::app
