// SPDX-License-Identifier: GPL-3.0-or-later
#include "swatches/axis_editor.hpp"

#include <chalkline/wording/swatch_words.hpp>

#include <QGridLayout>
#include <QHBoxLayout>
#include <QSignalBlocker>
#include <algorithm>

namespace chalkline::app {
namespace {

using swatches::Axis;
using swatches::Variable;

constexpr int value_width = 108;  // px

/// Variables that mean something for a card, in the order of the enumeration.
std::vector<Variable> offered(const swatches::Card& card) {
    std::vector<Variable> all;
    for (int i = 0; i < swatches::variable_count; ++i)
        if (swatches::applies_to(static_cast<Variable>(i), card.settings.kind)) all.push_back(static_cast<Variable>(i));
    return all;
}

ValueField* make_field(Variable what, const QString& name, Speed fastest, QWidget* parent) {
    switch (what) {
        case Variable::power:
        case Variable::corner_power:
        case Variable::tone:
            return make_power_field(name, parent);
        case Variable::speed:
            return make_speed_field(name, fastest, parent);
        case Variable::passes:
            return make_count_field(name, parent);
        default:
            return make_length_field(name, parent);
    }
}

}  // namespace

AxisEditor::AxisEditor(Side side, SwatchDesk& desk, QWidget* parent) : QWidget(parent), side_(side), desk_(desk) {
    auto* all = new QVBoxLayout(this);
    all->setContentsMargins(0, 0, 0, 0);
    all->setSpacing(6);
    auto* head = new QHBoxLayout;
    auto* name = make_label(side == Side::columns ? tr("Left to right") : tr("Bottom to top"), Tone::quiet, this);
    name->setFixedWidth(96);
    head->addWidget(name);
    what_ = new QComboBox(this);
    what_->setAccessibleName(side == Side::columns ? tr("What differs from left to right")
                                                   : tr("What differs from bottom to top"));
    keep_from_wheel(what_);
    head->addWidget(what_, 1);
    all->addLayout(head);
    connect(what_, &QComboBox::activated, this, &AxisEditor::choose_variable);
    said_ = make_label({}, Tone::quiet, this);
    said_->setWordWrap(true);
    said_->hide();
    all->addWidget(said_);
    connect(&desk_, &SwatchDesk::changed, this, &AxisEditor::follow);
    follow();
}

const Axis* AxisEditor::axis() const {
    const auto* record = desk_.record();
    if (!record) return nullptr;
    if (side_ == Side::columns) return &record->card.columns;
    return record->card.rows ? &*record->card.rows : nullptr;
}

/// Fields for the values, with the unit of what differs.
void AxisEditor::build_values() {
    if (values_) {
        values_->hide();
        values_->deleteLater();
    }
    methods_.clear();
    values_ = new QWidget(this);
    static_cast<QVBoxLayout*>(layout())->insertWidget(1, values_);
    auto* grid = new QGridLayout(values_);
    grid->setContentsMargins(0, 0, 0, 0);
    grid->setHorizontalSpacing(8);
    grid->setVerticalSpacing(6);
    const Variable what = axis()->what;
    if (what == Variable::dither) {
        int i = 0;
        for (const auto method : raster::dither_methods()) {
            auto* tick = new QCheckBox(wording::name(method), values_);
            connect(tick, &QCheckBox::clicked, this, [this] {
                adjust([this](Axis changed) {
                    changed.methods.clear();
                    for (std::size_t k = 0; k < methods_.size(); ++k)
                        if (methods_[k]->isChecked()) changed.methods.push_back(raster::dither_methods()[k]);
                    return swatches::adjusted(changed, desk_.machine());
                });
            });
            grid->addWidget(tick, i / 2, i % 2);
            methods_.push_back(tick);
            ++i;
        }
        first_ = last_ = count_ = step_ = nullptr;
        geometric_ = nullptr;
        return;
    }
    const QString side = side_ == Side::columns ? tr("across") : tr("up");
    const Speed fastest = desk_.machine().top_speed();
    const auto put_field = [&](int row, int column, const QString& label, ValueField* field) {
        auto* words = make_label(label, Tone::quiet, values_);
        words->setWordWrap(false);
        grid->addWidget(words, row, column);
        field->setFixedWidth(value_width);
        grid->addWidget(field, row, column + 1);
        return field;
    };
    first_ = put_field(0, 0, tr("First"), make_field(what, tr("First value %1").arg(side), fastest, values_));
    last_ = put_field(0, 2, tr("Last"), make_field(what, tr("Last value %1").arg(side), fastest, values_));
    count_ = put_field(1, 0, tr("Values"), make_count_field(tr("Values %1").arg(side), values_));
    step_ = put_field(1, 2, tr("Step"), make_field(what, tr("Step %1").arg(side), fastest, values_));
    grid->setColumnStretch(4, 1);
    geometric_ = new QCheckBox(tr("Equal ratios"), values_);
    geometric_->setToolTip(tr("Every value is as many times the one before: better over a wide range"));
    grid->addWidget(geometric_, 2, 0, 1, 4);
    connect(first_, &ValueField::committed, this, [this](double value) {
        adjust([this, value](Axis a) {
            // The whole range moves along when it would stand on its head.
            if (value >= a.last) a.last += value - a.first;
            a.first = value;
            return swatches::adjusted(a, desk_.machine());
        });
    });
    connect(last_, &ValueField::committed, this, [this](double value) {
        adjust([this, value](Axis a) {
            a.last = value;
            if (a.count == 1) a.count = 5;
            return swatches::adjusted(a, desk_.machine());
        });
    });
    connect(count_, &ValueField::committed, this, [this](double value) {
        adjust([this, value](Axis a) {
            a.count = static_cast<int>(value);
            return swatches::adjusted(a, desk_.machine());
        });
    });
    connect(step_, &ValueField::committed, this, [this](double value) {
        adjust([this, value](const Axis& a) { return swatches::with_step(a, value, desk_.machine()); });
    });
    connect(geometric_, &QCheckBox::clicked, this, [this](bool on) {
        adjust([this, on](Axis a) {
            a.geometric = on;
            return swatches::adjusted(a, desk_.machine());
        });
    });
}

template <class Change>
void AxisEditor::adjust(Change change) {
    if (!axis()) return;
    const swatches::Adjusted made = change(*axis());
    put(tr("Change card"), made);
}

void AxisEditor::put(const QString& name, const swatches::Adjusted& made) {
    desk_.change(name, [&](swatches::Card& card) {
        if (side_ == Side::columns)
            card.columns = made.axis;
        else
            card.rows = made.axis;
    });
    QStringList said;
    for (const Notice& notice : made.said)
        said << wording::describe(notice) + ".";
    said_->setText(said.join(" "));
    said_->setVisible(!said.isEmpty());
    // A value that was put right shows as it is now, also when the card did not change by it.
    follow();
}

void AxisEditor::choose_variable(int index) {
    const auto* record = desk_.record();
    if (!record) return;
    const int none = side_ == Side::rows ? 1 : 0;
    said_->hide();
    if (index < none) return desk_.change(tr("Change card"), [](swatches::Card& card) { card.rows.reset(); });
    const Variable what = offered(record->card)[static_cast<std::size_t>(index - none)];
    put(tr("Change card"), {swatches::proposed(what, record->card.settings.kind, desk_.ground()), {}});
}

void AxisEditor::follow() {
    const auto* record = desk_.record();
    if (!record) return;
    const QSignalBlocker quiet(what_);
    what_->clear();
    if (side_ == Side::rows) what_->addItem(tr("nothing: one row"));
    const auto* now = axis();
    for (const Variable what : offered(record->card)) {
        what_->addItem(wording::name(what));
        if (now && now->what == what) what_->setCurrentIndex(what_->count() - 1);
    }
    if (!now) {
        what_->setCurrentIndex(0);
        if (values_) values_->hide();
        built_ = false;
        return;
    }
    if (!built_ || built_for_ != now->what) build_values();
    built_ = true;
    built_for_ = now->what;
    values_->show();
    if (now->what == Variable::dither) {
        for (std::size_t i = 0; i < methods_.size(); ++i)
            methods_[i]->setChecked(std::find(now->methods.begin(), now->methods.end(), raster::dither_methods()[i]) !=
                                    now->methods.end());
        return;
    }
    first_->show_value(now->first);
    last_->show_value(now->last);
    count_->show_value(now->count);
    step_->show_value(swatches::step_of(*now));
    step_->setEnabled(!now->geometric);
    geometric_->setChecked(now->geometric);
    geometric_->setVisible(now->what == Variable::power || now->what == Variable::speed ||
                           now->what == Variable::line_pitch || now->what == Variable::perforation);
}

}  // namespace chalkline::app
