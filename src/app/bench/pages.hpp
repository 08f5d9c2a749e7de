#pragma once

#include <QAbstractButton>
#include <QButtonGroup>
#include <QWidget>
#include <vector>

class QGridLayout;
class QVBoxLayout;

namespace yes_square::app {

/// The one way of paging in the panels: a row or two of words, the page of the chosen one under them. A page takes the
/// height it needs, so that the panel round it has the only scroll bar.
class Pages : public QWidget {
    Q_OBJECT
public:
    explicit Pages(QWidget* parent = nullptr);

    /// @param name  of the page's button, for the command line and tests; also of `index_of`
    void add(QWidget* page, const QString& words, const QString& name);
    void set_page(int index);
    int page() const { return buttons_->checkedId(); }
    QWidget* current() const;
    int index_of(const QString& name) const; ///< less than 0: there is none
    /// Pages that have nothing to show are left out of the row.
    void set_offered(int index, bool offered);

signals:
    void page_changed(int index);

protected:
    void showEvent(QShowEvent* event) override;

private:
    void lay_buttons();

    QButtonGroup* buttons_;
    QGridLayout* row_;
    QVBoxLayout* column_;
    std::vector<QWidget*> pages_;
    std::vector<bool> offered_;
};

} // namespace yes_square::app
