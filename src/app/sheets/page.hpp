#pragma once

#include "app/bench/words.hpp"
#include "app/board/painter.hpp"
#include "core/measure/conversions.hpp"

#include <QBuffer>
#include <QDate>
#include <QFontMetricsF>
#include <QImage>
#include <QLocale>
#include <QPagedPaintDevice>
#include <QPdfWriter>
#include <algorithm>
#include <functional>
#include <limits>

namespace yes_square::app {

inline constexpr double sheet_margin = 14; ///< mm
inline constexpr double body_type = 3.3;   ///< mm, type size
inline constexpr double small_type = 2.8;
inline constexpr double type_line = 1.35; ///< of the type size

/// Which pages are printed, and how many there are in all, where that is known.
struct PageRange {
    int first = 1;
    int last = std::numeric_limits<int>::max();
    int total = 0;
};

/// Whose sheets they are: in the margin over every page.
struct PageHead {
    QString firm;
    QString address;
    QImage logo;
};

/// A page in mm, filled from the top; goes on to the next when a block does not fit.
class Page {
public:
    /// @param width, height  of the paper, in mm
    /// @param revision  of the job, at every foot, with what else every sheet says
    Page(QPainter& painter, QPagedPaintDevice& device, double width, double height, double per_mm, PageHead head,
         QString revision, PageRange range = {})
        : painter_{painter}
        , device_{device}
        , width_{width}
        , height_{height}
        , per_mm_{per_mm}
        , head_{std::move(head)}
        , revision_{std::move(revision)}
        , range_{range} {}

    int pages() const { return number_; }

    double width() const { return full_width() - beside_; }
    /// Under a heading and over the foot.
    double body_height() const { return height_ - 2 * sheet_margin - 6 - 5.5 * type_line - small_type * type_line - 3; }
    double left_over() const { return height_ - sheet_margin - 6 - at_; }

    void begin(const QString& heading, const QString& under) {
        next_page();
        at_ = sheet_margin;
        heading_ = heading;
        write(heading, 5.5, true);
        write(under, small_type, false);
        at_ += 1.5;
        foot();
        head();
    }

    void write(const QString& words, double size, bool bold, double indent = 0, const QColor& colour = Qt::black) {
        const QFont font = font_of(size, bold);
        painter_.setFont(font);
        const QRectF wanted = QFontMetricsF{font, &device_}.boundingRect(
            QRectF{0, 0, (width() - indent) * per_mm_, 1e6}, Qt::TextWordWrap, words);
        const double height = std::max(wanted.height() / per_mm_, size * type_ * type_line);
        make_room(height);
        painter_.setFont(font);
        painter_.setPen(colour);
        put(QRectF{(sheet_margin + indent) * per_mm_, at_ * per_mm_, (width() - indent) * per_mm_,
                   (height + 1) * per_mm_},
            Qt::TextWordWrap, words);
        at_ += height;
    }

    /// @param under  mm that have to follow it on its page
    void heading(const QString& words, double under = 0) {
        make_room(18 + under); // itself and two lines under it
        at_ += 2.5 * type_;
        write(words, body_type * 1.15, true);
        rule();
        at_ += 0.8;
    }

    /// A numbered or marked line: the mark hangs in the sheet_margin of the text.
    void item(const QString& mark, const QString& words, bool bold_mark) {
        const double before = at_;
        const QFont font = font_of(body_type, false);
        const QRectF wanted = QFontMetricsF{font, &device_}.boundingRect(QRectF{0, 0, (width() - 8) * per_mm_, 1e6},
                                                                         Qt::TextWordWrap, words);
        make_room(wanted.height() / per_mm_);
        const double from = at_ < before ? at_ : before;
        painter_.setFont(font_of(body_type, bold_mark));
        painter_.setPen(Qt::black);
        put(QRectF{sheet_margin * per_mm_, from * per_mm_, 7 * per_mm_, 2 * body_type * per_mm_}, Qt::AlignLeft, mark);
        at_ = from;
        write(words, body_type, false, 8);
        at_ += 0.6 * type_;
    }

    void table(const QStringList& headings, const std::vector<QStringList>& rows, const std::vector<double>& shares) {
        table_row(headings, shares, true);
        rule();
        for (const QStringList& cells : rows)
            table_row(cells, shares, false);
    }

    /// A whole sheet of paper with nothing on it but a drawing of that size, as sheets of stickers are.
    /// @param margins  its margins are free for the page's head and foot
    void bare(const Drawing& drawing, bool margins) {
        next_page();
        if (margins) {
            head();
            foot();
        }
        at_ = 0;
        paint_at(
            0, [&](double, double) { return drawing; }, width_, height_);
        at_ = height_;
    }

    void drawing(const std::function<Drawing(double width, double height)>& draw, double height) {
        make_room(height);
        paint_at(sheet_margin, draw, width(), height);
        at_ += height;
    }

    /// What is written is this much of its usual size.
    void set_type(double share) { type_ = share; }
    double type() const { return type_; }
    /// How many pages something takes that begins a page; nothing is printed.
    int pages_of(const std::function<void(Page&)>& write) const {
        QBuffer nowhere;
        nowhere.open(QIODevice::WriteOnly);
        QPdfWriter paper{&nowhere};
        paper.setResolution(qRound(per_mm_ * mm_per_inch));
        QPainter painter{&paper};
        painter.setFont(painter_.font());
        Page trial{painter, paper, width_, height_, per_mm_, head_, revision_};
        trial.trial_ = true;
        write(trial);
        return trial.pages();
    }

    /// A drawing at the right, so broad of the page, and what is written at its left.
    void beside(double share, double height, const std::function<Drawing(double width, double height)>& draw,
                const std::function<void()>& write_left) {
        constexpr double gap = 4;
        make_room(height);
        const double top = at_;
        const int on = number_;
        const double broad = share * full_width();
        paint_at(sheet_margin + full_width() - broad, draw, broad, height);
        beside_ = broad + gap;
        write_left();
        beside_ = 0;
        if (number_ == on)
            at_ = std::max(at_, top + height);
    }

private:
    void next_page() {
        ++number_;
        const bool wanted = number_ >= range_.first && number_ <= range_.last;
        // A page outside the range is filled far off the paper, so that those after it stay what they are.
        if (wanted == off_)
            painter_.translate(off_ ? -far_off : far_off, 0);
        off_ = !wanted;
        if (wanted && printed_++ > 0)
            device_.newPage();
    }
    /// Words where they stand; of a trial only the room they take counts.
    void put(const QRectF& where, int flags, const QString& words) {
        if (!trial_)
            painter_.drawText(where, flags, words);
    }
    void paint_at(double x, const std::function<Drawing(double width, double height)>& draw, double width,
                  double height) {
        if (trial_)
            return;
        painter_.save();
        painter_.translate(x * per_mm_, at_ * per_mm_);
        paint(painter_, draw(width, height), print_theme(), per_mm_);
        painter_.restore();
    }
    double full_width() const { return width_ - 2 * sheet_margin; }
    static QString tr(const char* words) { return QCoreApplication::translate("Sheets", words); }

    QFont font_of(double size, bool bold) const {
        QFont font = painter_.font();
        font.setPixelSize(qRound(size * type_ * per_mm_));
        font.setBold(bold);
        return font;
    }

    void rule() {
        painter_.setPen(QPen{Qt::black, 0.2 * per_mm_});
        painter_.drawLine(QPointF{sheet_margin * per_mm_, at_ * per_mm_},
                          QPointF{(sheet_margin + width()) * per_mm_, at_ * per_mm_});
    }

    void table_row(const QStringList& cells, const std::vector<double>& shares, bool bold) {
        const QFont font = font_of(bold ? small_type : body_type, bold);
        const QFontMetricsF metrics{font, &device_};
        double height = body_type * type_ * type_line;
        for (qsizetype i = 0; i < cells.size(); ++i)
            height = std::max(height, metrics.boundingRect(QRectF{0, 0, (shares[i] * width() - 2) * per_mm_, 1e6},
                                                           Qt::TextWordWrap, cells[i])
                                              .height() /
                                          per_mm_);
        make_room(height + 1);
        painter_.setFont(font);
        painter_.setPen(Qt::black);
        double x = sheet_margin;
        for (qsizetype i = 0; i < cells.size(); ++i) {
            put(QRectF{x * per_mm_, at_ * per_mm_, (shares[i] * width() - 2) * per_mm_, 1e6}, Qt::TextWordWrap,
                cells[i]);
            x += shares[i] * width();
        }
        at_ += height + 0.6;
    }

    void make_room(double height) {
        if (left_over() >= height || at_ <= sheet_margin + 20)
            return;
        beside_ = 0; // on the next page nothing stands beside it
        begin(heading_, tr("continued"));
    }

    /// Firm and address at the right of the upper margin, the logo beside them: nothing of the page makes room for it.
    void head() {
        constexpr double top = 4;
        constexpr double high = 8;
        double right = width_ - sheet_margin;
        if (!head_.logo.isNull() && !trial_) {
            const double broad = high * head_.logo.width() / std::max(1, head_.logo.height());
            painter_.drawImage(QRectF{(right - broad) * per_mm_, top * per_mm_, broad * per_mm_, high * per_mm_},
                               head_.logo);
            right -= broad + 2;
        }
        painter_.setPen(Qt::black);
        const auto line = [&](double down, bool bold, const QString& words) {
            painter_.setFont(font_of(small_type, bold));
            put(QRectF{sheet_margin * per_mm_, (top + down) * per_mm_, (right - sheet_margin) * per_mm_,
                       high / 2 * per_mm_},
                Qt::AlignRight | Qt::AlignVCenter, words);
        };
        line(0, true, head_.firm);
        line(high / 2, false, head_.address);
    }

    void foot() {
        painter_.setFont(font_of(small_type, false));
        painter_.setPen(Qt::black);
        const auto line = [&](double under, Qt::Alignment side, const QString& words) {
            put(QRectF{sheet_margin * per_mm_, (height_ - sheet_margin - 3 + under) * per_mm_, width() * per_mm_,
                       5 * per_mm_},
                side, words);
        };
        line(0, Qt::AlignLeft,
             tr("Along the wall from its left end, unless its sheet says from the right; up from the datum (finished "
                "floor at its highest)."));
        line(small_type * type_line, Qt::AlignLeft,
             tr("%1, printed %2").arg(revision_, spoken_locale().toString(QDate::currentDate(), QLocale::ShortFormat)));
        line(small_type * type_line, Qt::AlignRight,
             range_.total > 0 ? tr("Sheet %1 of %2").arg(number_).arg(range_.total) : tr("Sheet %1").arg(number_));
    }

    QPainter& painter_;
    QPagedPaintDevice& device_;
    double width_;
    double height_;
    double per_mm_;
    PageHead head_;
    static constexpr double far_off = 1e6;
    QString revision_;
    PageRange range_;
    bool off_ = false; ///< of the paper
    int printed_ = 0;
    double at_ = sheet_margin;
    double type_ = 1;
    bool trial_ = false; ///< only to see how many pages it takes
    double beside_ = 0;  ///< mm at the right that a drawing takes
    int number_ = 0;
    QString heading_;
};

} // namespace yes_square::app
