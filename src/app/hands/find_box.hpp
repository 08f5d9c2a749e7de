#pragma once

#include <QDialog>
#include <QString>
#include <functional>
#include <vector>

class QLineEdit;
class QListWidget;

namespace yes_square::app {

/// Something that can be found or done by its name.
struct Findable {
    QString what;  ///< "Wall", "Do", "Sum"
    QString words; ///< "Kitchen, north"
    std::function<void()> go;
};

/// Every word typed stands somewhere in the row; rows that begin with what was typed come first, then those with a word
/// that does. Case does not matter.
std::vector<const Findable*> found(const std::vector<Findable>& all, const QString& typed);

/// A line to type in and what it finds under it. Up and down choose, Enter goes there.
class FindBox : public QDialog {
    Q_OBJECT
public:
    explicit FindBox(std::vector<Findable> all, QWidget* parent = nullptr);

protected:
    bool eventFilter(QObject* watched, QEvent* event) override;

private:
    void refresh();
    void go();

    std::vector<Findable> all_;
    std::vector<const Findable*> shown_;
    QLineEdit* words_;
    QListWidget* rows_;
};

} // namespace yes_square::app
