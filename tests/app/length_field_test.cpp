#include "app/bench/length_field.hpp"

#include <QLabel>
#include <QSignalSpy>
#include <QTest>
#include <QVBoxLayout>
#include <catch2/catch.hpp>

using namespace yes_square;
using namespace yes_square::app;

namespace {

/// Two length fields one under the other, in a shown window.
struct Form {
    QWidget window;
    LengthField* first = new LengthField{&window};
    LengthField* second = new LengthField{&window};
    std::vector<Length> committed;

    Form() {
        auto* column = new QVBoxLayout{&window};
        column->addWidget(first);
        column->addWidget(second);
        window.resize(300, 200);
        window.show();
        REQUIRE(QTest::qWaitForWindowExposed(&window));
        window.activateWindow();
        QObject::connect(first, &LengthField::committed, [this](Length length) { committed.push_back(length); });
        first->set_length(1200_mm);
        first->setFocus();
        QTest::qWait(5);
    }
    QString tag() const {
        for (const QLabel* label : window.findChildren<QLabel*>())
            if (label->isVisible())
                return label->text();
        return {};
    }
    void type(const char* keys) {
        first->selectAll();
        QTest::keyClicks(first, keys);
    }
    void press(Qt::Key key) { QTest::keyClick(first, key); }
};

} // namespace

TEST_CASE("what was understood is shown before Enter", "[app][entry]") {
    Form form;
    form.type("112cm + 4.1cm");
    CHECK(form.tag() == "= 1161 mm");
    CHECK(form.committed.empty());
    form.press(Qt::Key_Return);
    REQUIRE(form.committed.size() == 1);
    CHECK(form.committed[0] == 1161_mm);
    CHECK(form.first->text() == "1161 mm");
    CHECK(form.tag().isEmpty());
    CHECK(form.second->hasFocus());
}

TEST_CASE("while a sum is half typed the tag says what is missing, without alarm", "[app][entry]") {
    Form form;
    form.type("112cm +");
    CHECK(form.tag() == "A number is missing at the end");
    CHECK_FALSE(form.first->property("refused").toBool());
    form.press(Qt::Key_Return);
    CHECK(form.first->property("refused").toBool());
    CHECK(form.committed.empty());
    CHECK(form.first->hasFocus());
    CHECK(form.first->cursorPosition() == 7);
    QTest::keyClicks(form.first, " 5cm");
    form.press(Qt::Key_Return);
    REQUIRE(form.committed.size() == 1);
    CHECK(form.committed[0] == 1170_mm);
}

TEST_CASE("Escape brings the old length back", "[app][entry]") {
    Form form;
    form.type("9999");
    form.press(Qt::Key_Escape);
    CHECK(form.first->text() == "1200 mm");
    form.press(Qt::Key_Return);
    CHECK(form.committed.empty());
}

TEST_CASE("leaving a field commits what can be read and keeps what cannot", "[app][entry]") {
    Form form;
    form.type("1250");
    form.second->setFocus();
    REQUIRE(form.committed.size() == 1);
    CHECK(form.committed[0] == 1250_mm);
    form.first->setFocus();
    form.type("12x");
    form.second->setFocus();
    CHECK(form.committed.size() == 1);
    CHECK(form.first->text() == "12x");
    CHECK(form.first->property("refused").toBool());
}

TEST_CASE("a length set while the user types does not overwrite the typing", "[app][entry]") {
    Form form;
    form.type("77");
    form.first->set_length(500_mm);
    CHECK(form.first->text() == "77");
    form.press(Qt::Key_Escape);
    CHECK(form.first->text() == "500 mm");
}

TEST_CASE("the unit of the field reads bare numbers and shows the length", "[app][entry]") {
    Form form;
    form.first->set_unit(Unit::inch_16);
    CHECK(form.first->text() == "47 1/4 in");
    form.type("32 3/16");
    form.press(Qt::Key_Return);
    REQUIRE(form.committed.size() == 1);
    CHECK(form.committed[0] == Length::inches(32, {3, 16}));
    form.first->set_unit(Unit::mm);
    CHECK(form.first->text() == "818 mm");
}

TEST_CASE("lengths below the least are refused with the field's own words", "[app][entry]") {
    Form form;
    form.first->set_least(Length::nanometres(1), "It must be more than 0");
    form.type("0");
    form.press(Qt::Key_Return);
    CHECK(form.committed.empty());
    CHECK(form.tag() == "It must be more than 0");
    form.type("2000 m");
    form.press(Qt::Key_Return);
    CHECK(form.committed.empty());
    CHECK(form.tag() == "That is longer than any wall");
}
