#pragma once

#include <QLabel>
#include <QStringList>
#include <QWidget>

namespace yes_square::app {

/// A verdict in large type, in the alarm colour where it is bad, and what it rests on in plain lines under it.
class VerdictLabel : public QWidget {
    Q_OBJECT
public:
    explicit VerdictLabel(const char* name, QWidget* parent = nullptr);
    void tell(const QString& verdict, bool bad, const QStringList& lines);

private:
    QLabel* verdict_;
    QLabel* lines_;
};

} // namespace yes_square::app
