// SPDX-License-Identifier: GPL-3.0-or-later
#pragma once
#include "trays/steps/step_card.hpp"
#include "trays/tray_context.hpp"
#include "widgets/flow_layout.hpp"

#include <QVBoxLayout>
#include <QWidget>
#include <optional>
#include <vector>

namespace chalkline::app {

/// The run sheet: every ink as a chip, every step as a card in run order. Chips are dragged onto cards or onto "left
/// out"; cards are dragged to another place.
class StepsTray : public QWidget {
    Q_OBJECT
 public:
    StepsTray(const TrayContext& context, QWidget* parent = nullptr);
    std::vector<StepCard*> cards() const { return cards_; }
    std::vector<InkChip*> chips() const { return chips_; }

 Q_SIGNALS:
    /// An edit that was refused, to be shown.
    void refused(const chalkline::Error& error);

 private:
    void follow(JobChange change);
    void rebuild();
    void refresh();
    void show_times();
    void show_tones();
    void add_chip(const job::RoutedInk& routed, QLayout* place);
    void add_card(const job::Step& step, int number);
    StepCard* card_at(const QPoint& global) const;
    bool over_left_out(const QPoint& global) const;
    void drop_ink(const Ink& ink, const QPoint& global, bool also);
    void send_ink(const Ink& ink, int step_number, bool also);
    void drop_card(job::Id step, const QPoint& global);
    void choose(job::Id step);
    void choose_too(job::Id step);
    job::Ids set_together(job::Id step) const;
    void change(job::Id step, const SettingChange& change, const Merge& merge);
    void keep_words(job::Id step, const QString& key, const QString& words);
    void light_steps_of(const std::optional<Ink>& ink);
    void edit(const QString& name, Result<job::Job> edited, const Merge& merge = {});

    TrayContext context_;
    QWidget* chip_box_;
    QWidget* left_out_box_;
    QWidget* fault_;
    QVBoxLayout* card_box_;
    std::vector<StepCard*> cards_;
    std::vector<InkChip*> chips_;
    std::optional<job::Id> open_;
    job::Ids chosen_;  ///< steps that are set at once
    QLabel* together_;
    QPushButton* note_ = nullptr;
};

}  // namespace chalkline::app
